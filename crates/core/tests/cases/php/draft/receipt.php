<?php
class Receipt
{
    public function line(string $text, $price = 1.5, bool ...$flags): ?string
    {
        if ($price < 0) {
            throw new RangeException('price');
        }
        return $text;
    }
}
