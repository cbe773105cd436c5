#include "surf.h"
static int inner(int a) { return a; }
int outer(int a) { return a; }
static inline void quick(void) {}
extern int elsewhere(int);
static const int limit = 3;
