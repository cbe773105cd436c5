<?php
interface Payable { /** Pays. @param int $sum coins */ public function pay(int $sum, string $who): bool; }
class Cash implements Payable {
    /** {@inheritdoc} */
    public function pay(int $sum, string $who): bool { return true; }
    /** {@inheritDoc} */
    public function a($x) {}
    /** @inheritdoc */
    public function b($x) {}
    /** @inheritDoc */
    public function c($x) {}
    #[\Override]
    public function d($x) {}
}
