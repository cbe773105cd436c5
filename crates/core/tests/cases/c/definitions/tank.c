#include "tank.h"

local void helper(int a);

static int scale(int x) { return x * 2; }

/** Documented here. */
int oldest(a, b)
  int a;
  char *b;
{
  return a;
}

static const char *names[] = {
#if A
  "a",
#endif
  "b"
};

int *pointer(void) { if (x) { FOREACH(y) { z(); } } return 0; }

int last(int (*cb)(int), char *argv[]) {
#if A
  if (cb) {
#else
  {
#endif
  }
  return 0;
}

int main(int argc, char **argv) { return 0; }
