/**
 * SECTION:tanks
 * @short_description: Tanks of the cellar
 *
 * What can be done with tanks.
 */

#include "tanks.h"

int tank_count(void) { return 1; }

/**
 * tank_level:
 * @tank: the tank
 *
 * Reads the level. It does not wait.
 *
 * Returns: the level in litres
 */
/**
 * TankReader:
 * @tank: the tank
 * @data: what was passed
 *
 * Reads one tank.
 */
int tank_level(int tank)
{
    return tank;
}

/**
 * Tank::emptied:
 * @tank: the tank
 *
 * Told when a tank is empty.
 */
int tank_empty(int tank)
{
    return tank;
}

/**
 * _tank_fill: (skip)
 * @tank: the tank
 *
 * Fills a tank. The text "<a> <b> <c>" is shown.
 */
void tank_fill(int tank)
{
    tank++;
}

/**
 * Names the tanks. It does not wait.
 *
 * @param hall where they stand
 */
list_of(name) tank_names(int hall, int first)
{
    return hall;
}

/**
 * tank_write:
 * @file: where to write
 * @name: the name of the tank
 *
 * Writes down a tank. It does not wait.
 */
void tank_write(int file, int name, int level)
{
    file = name + level;
}
