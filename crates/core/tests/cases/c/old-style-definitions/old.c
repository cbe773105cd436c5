/**
 * Adds.
 * @param a one
 * @param c no such
 * @return the sum
 */
int add(a, b)
    int a;
    long b;
{
    return a + b;
}
/** Mean of both. */
static double mean(x, y) double x, y; { return (x + y) / 2; }
