<?php
/**
 * Weighs crates.
 *
 * @param string|null $load the load in kg
 * @param string[] $names the names of the crates
 * @param string $marks the marks of the crates
 * @param int|null $tare what the empty scale shows, in kg
 * @param string[] ...$rest what else stands on the scale
 * @return string[] the names of what was weighed
 */
function weigh(?int $load, array $names, array $marks, ?int $tare, string ...$rest): string
{
    return '';
}
