<?php

namespace SallowRidge;

/** Weighs crates. */
class Crates
{
    /**
     * Weighs a list of crates.
     *
     * @param bool $dry
     * @crate-param list<Crate> $crates The crates to weigh.
     * @param array<string, float> $tares
     *
     * @crate-return list<float>
     */
    public function weighAll($dry, array $crates, array $tares, $scale): array
    {
        return [];
    }

    /** @crate-var list<Address> */
    protected $addresses = [];

    /**
     * Reads a <b>table</b>, of which <Em>one</Em> column counts.
     *
     * @param list<Table> $tables the tables
     */
    public function read($tables): void
    {
    }

    /**
     * @alias weigh
     *
     * Tares the scale.
     *
     * @param int $times how often
     */
    public function tare($times): void
    {
    }

    /**
     * @author the growers
     *
     * Empties it.
     *
     * @param int $times how often
     */
    public function clear($times): void
    {
    }
}
