<?php

/**
 * Weighs a crate.
 *
 * @param Crate $crate what stands on the scale
 * @returns float its mass in kg
 * @exception Off when the scale is off
 */
function mass(Crate $crate): float
{
    if (!$crate) {
        throw new Off();
    }
    return $crate->mass;
}

function level(Scale $scale): float
{
    if (!$scale) {
        throw new Off();
    }
    return $scale->level;
}
