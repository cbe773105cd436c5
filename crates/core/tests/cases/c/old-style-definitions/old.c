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

PRESS_SINCE(1, 2)
char *label_of(press, next)
    struct press *press;
    char *next;
{
    return next;
}

PRESS_BEGIN_DECLS

typedef CALLBACK(void, *pressed, (int, int));
