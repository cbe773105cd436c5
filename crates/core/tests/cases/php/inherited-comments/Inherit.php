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

/**
 * Weighs crates.
 *
 * @method callable|null getAnswer() what is called then
 */
interface Scale {
    /** Walks. */
    public function walkSubselect($crate);
}
class Bridge implements Scale {
    /** {@inheritdoc} */
    public function walkSubSelect($crate) {}
    /** {@inheritdoc} */
    public function getAnswer(): ?callable { return null; }
    /** {@inheritdoc} */
    public function getQuestion(): ?callable { return null; }
}
