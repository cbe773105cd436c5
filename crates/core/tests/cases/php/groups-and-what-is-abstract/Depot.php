<?php

/**
 * A depot whose parts others write.
 */
abstract class Depot
{
    /**#@+
     * What a depot holds.
     *
     * @access private
     */
    public $crates;
    /**#@-*/

    public $loads;

    /**
     * Weighs a crate.
     *
     * @return float The load.
     */
    public function weigh()
    {
        trigger_error('Call to abstract method', E_USER_ERROR);
    }

    /**
     * Counts crates.
     *
     * @return int How many there are.
     */
    public function count()
    {
        Bell::error(__CLASS__ . '::count() should never be called');
    }

    /**
     * Stows what came.
     *
     * @return bool|void
     */
    public function stow()
    {
        $this->crates = [];
    }

    /**
     * Rings.
     *
     * @return nill
     */
    public function ring()
    {
        Bell::ring('twice');
    }

    /**
     * Asks for a crate.
     *
     * @return string What was said.
     */
    public function ask()
    {
        Bell::ring('twice');
    }
}

/**
 * @template Load of Crate
 * @template-implements Holder<Load>
 */
class Shelf implements Holder
{
}
