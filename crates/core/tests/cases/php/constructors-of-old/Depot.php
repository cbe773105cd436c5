<?php

/**
 * A depot, written when constructors were called like their class.
 */
class Depot
{
    public $crates;

    /**
     * Makes a depot ready.
     *
     * @param array $crates What stands in it.
     */
    function depot($crates)
    {
        if (!is_array($crates)) {
            return false;
        }
        $this->crates = $crates;
    }

    /**
     * Counts what stands there.
     *
     * @param string $kind What to count.
     */
    function count($kind)
    {
        return count($this->crates[$kind]);
    }
}
