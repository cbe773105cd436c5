<?php

namespace Depot;

/** Scales of all units. */
class Scales
{
    /**
     * Weighs in the unit that the name tells.
     *
     * @param Crate $crate What to weigh.
     *
     * @return float The load.
     */
    public function __call($unit, $taken)
    {
        return $this->weigh($taken[0], $unit);
    }

    /**
     * Weighs in a unit.
     *
     * @param Crate $crate What to weigh.
     * @param Tray $tray What nothing takes.
     *
     * @return float The load.
     */
    private function weigh($crate, $unit)
    {
        return $crate->load * $unit->factor;
    }
}
