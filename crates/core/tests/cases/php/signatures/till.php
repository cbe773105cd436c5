<?php
namespace Sallow\Till;

/** A till. */
#[Shop]
final class Till implements \Countable
{
    public const LIMIT = 10;
    private int $sum = 0;

    /**
     * Opens.
     *
     * @param int $start the first sum
     * @param string|null $name
     * @param bool $gone
     */
    public function __construct(private readonly int $start, protected ?string $name = null) {}

    /** {@inheritdoc} */
    public function count(): int { return 1; }

    /**
     * Adds up.
     *
     * @param array<string, int> $items by name
     * @return int the sum
     * @throws \InvalidArgumentException
     */
    public static function add(array &$items, int|float ...$more): ?self
    {
        if ($items === null) { throw new \InvalidArgumentException('none'); }
        $f = function ($y) { throw new \LogicException(); };
        return $items[0] ?? throw new \OutOfRangeException('x');
    }

    abstract protected function later(callable $c): static;

    private function stop(): never { exit; }
}

interface Prints { public function out(string $line): void; }
trait Sums { protected function sum() { yield 1; } }
enum Coin: int { case One = 1; public function worth(): int { return 1; } }

/** Rounds. @param mixed $x */
function round_up($x) { return $x; }
