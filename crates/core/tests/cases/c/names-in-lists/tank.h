/**
 * The callback that is told of the level of a tank.
 * - tank is the number of the tank
 * - level contains its level in cm
 */
typedef void (*tank_callback)(int tank, int level, void *data);
