/**
 * Reading the tanks
 * -----------------
 *
 * The following functions read one tank each. None of them waits.
 */

int read_level(int tank);

/**
 * Reads the temperature
 * ---------------------
 * in degrees, without waiting.
 */
int read_temperature(int tank);

int level_of(int tank); /** in litres, rounded down; returns -1 when empty */
int warmest(int first, int second);

struct tank {
    int number; /** counted from one */
    int level;
    /** in degrees */
    int temperature;
};

/* Opens and closes the scale. */
int scale_open(int port);
int scale_shut(int port);

/* Tells how heavy the crate is. */
int crate_load(int crate);

/** Takes a crate off, as its platform says. */
int scale_unload(int platform, /**< the one that is deprecated as well */
                 int crate /**< what is taken off */);
