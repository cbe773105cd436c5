<?php
namespace Ridge\Press;

/** What weighs. */
interface Weighs
{
    /** Weighs. */
    public function weigh(): int;
}

/** A scale of the press. */
class Scale implements Weighs, \Cellar\Press\Weighs
{
    /** {@inheritdoc} */
    public function weigh(): int
    {
        return 1;
    }

    /** {@inheritdoc} */
    public function tare(): int
    {
        return 2;
    }
}

/** A lid. */
class Lid implements Weighs
{
    /** {@inheritdoc} */
    public function tare(): int
    {
        return 3;
    }
}
