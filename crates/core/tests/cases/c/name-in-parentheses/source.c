/**
 * Reads a gauge.
 *
 * @param tnak its tank
 * @return litres
 */
unsigned (GAUGE_API
read_gauge)(int tank)
{
    return tank;
}

/** Never a macro. */
int (getlevel)(int tank) { return tank; }
