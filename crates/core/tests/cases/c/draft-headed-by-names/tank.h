/**
 * tank_open:
 * @tank: the number of the tank
 * @flags: how
 *
 * Opens a tank.
 *
 * Returns: 0, or a negative error
 */
int tank_open(int tank, int flags);

int tank_fill(int tank, int litres);

/**
 * tank_level:
 * @tank: the number of the tank
 *
 * Tells the level of a tank.
 */
int tank_level(int tank, int unit);

void tank_stop(void);

/**
 * tank_shut:
 * @tank: the number of the tank
 *
 * Shuts a tank.
 *
 * Deprecated: 2.1: Use tank_stop() instead.
 */
void tank_shut(int tank) __attribute__((deprecated));

void tank_seal(int tank) __attribute__((deprecated));

/**
 * tank_halt:
 * @tank: the number of the tank
 *
 * Halts a tank.
 */
void tank_halt(int tank) __attribute__((deprecated));
