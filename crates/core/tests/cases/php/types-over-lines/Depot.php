<?php

/**
 * A depot.
 */
class Depot
{
    /**
     * @param array{
     *   tag?: string,
     *   load: float,
     *   @unit?: string,
     * } $crate
     */
    public function __construct(array $crate)
    {
        $this->crate = $crate;
    }

    /**
     * Weighs crates.
     *
     * @param array<string,
     *   float> $loads What lies on each.
     * @param callable(
     *   float
     * ): bool $box Says which to leave out.
     *
     * @return array{
     *   net: float,
     * } What they weigh.
     */
    public function weigh(array $loads, callable $leave): array
    {
        return array_filter($loads, $leave);
    }
}
