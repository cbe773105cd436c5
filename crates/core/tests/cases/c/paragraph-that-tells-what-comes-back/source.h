/**
 * Opens a tank. The valve must be shut.
 *
 * @param tank its number
 *
 * Returns 0, or -1 when it was open.
 */
int open_tank(int tank);

/**
 * Fills a tank. The valve must be shut.
 *
 * Returns the level in litres,
 * rounded down.
 *
 * @param tank its number
 */
int fill_tank(int tank);

/**
 * Shuts a tank, and what it
 * Returns is not told here.
 *
 * @param tank its number
 */
int shut_tank(int tank);

/**
 * Presses a crate of grapes.
 *
 * Arguments:
 *   crate = what is pressed
 * Returns:
 *   0 when it is empty
 */
typedef int (*press_fn)(int crate);

/* JM/Jan2003: knowledge of the press
 */
typedef enum { OPEN, SHUT } lid;

/**
 * press_test_scale - tests a scale.
 * @scale: the scale to test
 *
 * This function tests whether @scale is a scale of a press and returns
 * %1 if it is, and %-1 otherwise.
 */
int press_test_scale(int scale);

/** A crate. */
struct crate {
    const char *dsc; /**< description */
    const char *tag; /**< description */
};
