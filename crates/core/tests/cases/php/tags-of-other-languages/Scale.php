<?php

/**
 * Weighs, in the <a></a> form or the </a> form.
 *
 * @ingroup scales
 * @usess crates
 */
class Scale
{
    /**
     * Weighs.
     *
     * @return string
     */
    public function weigh() //TODO: read it twice
    {
        $mass = parent::weigh();
        return $mass;
    }

    // WARNING: shown to everybody in the yard
    public function show(): void
    {
    }
}
