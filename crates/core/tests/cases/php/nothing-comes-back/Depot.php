<?php

/** Keeps crates for Sallow Ridge. */
class Depot
{
    /**
     * Finds the crate on top, of which this depot has none.
     *
     * @return Crate|null
     */
    public function top()
    {
        //
    }

    /**
     * Asks whoever is there for the next crate.
     *
     * @return mixed
     */
    public function ask()
    {
        $this->bell->ring();
    }

    /**
     * Counts what is there, or so it says.
     *
     * @return int
     */
    public function count()
    {
        $this->bell->ring();
    }

    /**
     * Labels a shelf.
     *
     * @staticvar int $labels How many were written.
     *
     * @param string $before What stands before the label. Default: '<b class="label">'.
     * @param string $behind What stands behind it. Default: '</b>'.
     * @param string $note A note in <i>small letters.
     */
    public function label($before, $behind, $note)
    {
        static $labels = 0;
        $labels++;
    }
}
