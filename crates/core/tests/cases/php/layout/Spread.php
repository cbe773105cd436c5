<html><?php
/**
 * Wägt.
 * @param float $größe in kg
 */
function wäge(
	float $größe, // in kg, (ja)
	#[A(1, "b")] /* zwei */ callable $b = null,
	array $c = array(1, [2 => "a, $größe"]),
): ?float
{
	return 1.0;
}
?>
<b>/** no doc */ function fake($a) {}</b>
<?php
/** Broken. */
function broken($a { }
/** After. */
function after($a) {}
