<?php

declare(strict_types=1);

namespace Sallow\Till;

/**
 * The till of the cooperative's shop.
 */
final class Till implements \Countable
{
    /** @var array<string, int> prices by article, in cents */
    private array $prices = [];

    /**
     * Opens the till.
     *
     * @param int $float what lies in it in the morning, in cents
     */
    public function __construct(private int $float = 0, private readonly ?string $clerk = null)
    {
    }

    /**
     * Rings up articles.
     *
     * @param array<string, int> $articles how many of each
     * @param bool $member whether the buyer is a grower
     * @return int the sum in cents
     * @throws UnknownArticle if an article has no price
     */
    public function ring(array $articles, bool $member = false): int
    {
        $sum = 0;
        foreach ($articles as $article => $count) {
            $sum += $count * ($this->prices[$article] ?? throw new UnknownArticle($article));
        }
        return $member ? intdiv($sum * 9, 10) : $sum;
    }

    /**
     * Sets a price.
     *
     * @param string $article what it is
     * @param int $cnets the price
     */
    public function price(string $article, int $cents): void
    {
        if ($cents < 0) {
            throw new \RangeException('a price is not negative');
        }
        $this->prices[$article] = $cents;
    }

    /** {@inheritdoc} */
    public function count(): int
    {
        return count($this->prices);
    }

    public function close()
    {
        return $this->float;
    }
}

/** An article that nobody has priced. */
class UnknownArticle extends \OutOfBoundsException
{
}
