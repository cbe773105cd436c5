/**
 * Wägt.
 *
 * @param[in] größe in kg
 * @param[out] err why not
 */
const char *
wäge(
	double größe, /* in kg, (ja) */
	int *err      // why
);
/** Two at once. */
int a(int x), *b(int y), c;
/** Broken. */
int broken(int a { ;
/** After. */
int after(int a);
