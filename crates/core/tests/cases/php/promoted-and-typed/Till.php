<?php
namespace Ridge\Till;

/** A till. */
final readonly class Till
{
    /**
     * Makes one.
     * @param string $name shown
     * @param int $coins in it
     * @param int $nope no such
     */
    public function __construct(
        private string $name,
        protected readonly int|float|null $coins = 0,
        public ?array $list = ['a, (b', "c" => [1, 2]],
    ) {}

    /**
     * Counts.
     * @param Coin|null $coin one
     */
    public function count(?Coin $coin, (A&B)|null $both, int &$total, string ...$more): static { return $this; }
    public function never(): never { throw new \LogicException('x'); }
    /** Sets. @return self again */
    public function set(self $other): self { return $this; }
    abstract protected function inner(int $a);
}
