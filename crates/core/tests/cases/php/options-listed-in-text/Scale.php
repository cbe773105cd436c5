<?php

/** What weighs. */
class Scale
{
    /**
     * Sets up the scale. Available options:
     *  * unit: what to count in
     *  * most: the greatest load, in kg
     *
     * @param string $place where it stands
     */
    public function __construct(string $place, array $options = [])
    {
    }

    /**
     * Weighs with options, one of these:
     *
     * @param string $crate what to weigh
     */
    public function weigh(string $crate, array $options = [])
    {
    }
}
