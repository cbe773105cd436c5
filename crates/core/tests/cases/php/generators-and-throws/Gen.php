<?php
/**
 * Reads.
 * @return \Generator<int, string>
 */
function lines(string $path): \Generator { yield 'a'; }
/**
 * Opens.
 * @param string $path where
 * @throws \RuntimeException when shut
 */
function open($path) {
    if (!$path) { throw new \InvalidArgumentException('x'); }
    try { risky(); } catch (\Ridge\Shut | Gone $e) { throw $e; } finally { }
    return fopen($path, 'r') ?: throw new Missing();
}
/** Twice. */
function &twice(callable $each = null, $default = PHP_INT_MAX) { foreach ([1] as $x) { $each($x); } }
if (!function_exists('late')) { /** Late. */ function late($a) { return 1; } }
$arrow = fn($x) => $x;
/** @var int $y inline */
$y = 1;
