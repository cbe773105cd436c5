#include "cond.h"
#ifdef WIDE
/** Reads wide. */
int read_level(long n)
#else
int read_level(int n)
#endif
{
#if A
    if (n) {
#else
    if (!n) {
#endif
        return 1;
    }
    return 0;
}
#if 0
int dead(int a) { return a; }
#endif
/** Next. @return nothing */
void next(void) {}
