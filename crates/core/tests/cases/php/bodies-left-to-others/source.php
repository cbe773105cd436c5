<?php

/**
 * A scale.
 */
class Scale
{
    /**
     * Reads the load.
     *
     * Must be overridden by scales that can be read.
     *
     * @param int $crate the number of the crate
     * @return int the load in kg
     */
    public function load($crate)
    {
        $this->fail('no load');
    }

    /**
     * Marks the crate.
     *
     * @param bool $shown adds a <b> tag around the mark
     * @return string the mark
     */
    public function mark($shown)
    {
        // Done by the printer.
    }

    /**
     * Moves it.
     *
     * @access private
     * @param int $crate the number of the crate
     */
    function move($crate, $place)
    {
        return $crate;
    }

    /**
     * Turns it.
     *
     * @param int $crate the number of the crate
     * @return string the mark
     */
    public function turn($crate)
    {
        $this->fail('no load');
    }
}

/**
 * Reads the <code>number</code> attribute of a crate, the <b>first</b> element of its <i>tag</i> node.
 *
 * @return void
 */
function read_number()
{
    echo 1;
}
