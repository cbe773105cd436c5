<?php
/** Counts. */
trait Counts {
    /** How many. @var int */
    private int $n = 0;
    /** Adds. */
    #[Pure]
    #[Route('/a', methods: ['GET'])]
    public function add(int $by) { $this->n += $by; }
}
/** Coins. */
enum Coin: int {
    /** One. */
    case One = 1;
    case Two = 2;
    const Least = self::One;
    /** Of text. */
    public static function of(string $text): self { return self::One; }
}
interface Shown { const A = 1; public function show(); }
abstract class Base { public $x, $y = 2; protected static ?Base $one = null; }
$anonymous = new class(1) extends Base { public function hidden($a) {} };
