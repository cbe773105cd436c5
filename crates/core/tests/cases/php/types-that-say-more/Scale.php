<?php

/** A scale. */
class Scale
{
    /**
     * Weighs a crate.
     *
     * @param non-empty-string $name
     * @param \Ridge\Crate|null $crate
     * @param HeavyLoad $load
     *
     * @return void
     */
    public function weigh(string $name, Crate $crate = null, Load $load = null): void
    {
    }
}
