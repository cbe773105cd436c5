struct tank;

/**
 * Called when a tank is full.
 *
 * @param tank the tank
 * @param level in litres
 * @param data what was given when the call was asked for
 */
typedef void (*full_fn)(struct tank *, int level, void *);

/**
 * Fills a tank.
 *
 * @param tank the tank
 * @param litres how much
 * @param more what is not there
 */
void fill(struct tank *, double);

/**
 * Empties a tank.
 *
 * @param tank the tank
 * @param valev the valve
 */
void empty(struct tank *, int valve);

/**
 * Frees what was weighed.
 *
 * @param crate the crate
 */
typedef void (*weigh_free_fn)(struct crate *, int pe);

/**
 * Closes the scale. What follows is long. (See scale.h for
 * documentation of this function.)
 */
int scale_close(struct scale *scale);
