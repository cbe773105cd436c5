/**
 * Opens.
 * @param n which
 */
int pair_open(int n);
int pair_open(int n) { return n; }
void pair_shut(int n);
/**
 * Shuts.
 * @param n which
 */
void pair_shut(int n) {}
int pair_lost(int n);
int pair_lost(int n) { return n; }
