/**
 * Opens.
 * @return whether it went
 */
int tank_open(void);
/**
 * Fills.
 * @param litres how much
 */
void tank_fill(int litres, double, char *);
/** Empties. */
int tank_empty();
