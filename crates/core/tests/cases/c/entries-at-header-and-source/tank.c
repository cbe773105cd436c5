#include "tank.h"

/**
 * Fills a tank. Called by the controller.
 *
 * @param tank its number
 * @return the level
 */
int tank_fill(int tank, double litres)
{
    return tank;
}

/**
 * Empties a tank. The valve must be open.
 *
 * @param tank its number
 */
int tank_empty(int tank)
{
    return tank;
}

int tank_drain(int tank)
{
    return tank;
}
