<?php
namespace N;
/** A barn. Big. */
final class Barn
{
    /**
     * Makes one. Empty.
     * @param int $width how wide
     * @param string|null $name its name
     */
    public function __construct(private readonly int $width, protected ?string $name = null) {}
    /**
     * Weighs. Slowly.
     * @param array<string, int> $crates what
     * @param callable(int): int $by how
     * @param int ...$rest more
     * @return int|float their mass
     * @throws \InvalidArgumentException if there is none
     */
    public static function weigh(array &$crates, callable $by, int ...$rest): int|float
    {
        return $crates ? 1 : throw new \InvalidArgumentException('none');
    }
    /**
     * Walks. Slowly.
     * @return \Generator<int, string, mixed, void> each
     */
    public function walk(): \Generator { yield 1 => 'a'; }

    /**
     * Returns the name of the class of crates.
     *
     * @return string
     * @throws Exception if others do not give it
     */
    protected function crateClass()
    {
        trigger_error('left to others');

        throw Exception::notSupported(__METHOD__);
    }
}
