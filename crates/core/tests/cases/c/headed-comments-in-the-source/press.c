#include "press.h"

/**
 * CellarPress:
 *
 * A press for grapes.
 */

/**
 * PRESS_IS_FULL:
 * @press: a press
 *
 * Tells whether nothing more goes in.
 */

/**
 * press_load:
 * @press: a press
 *
 * Weighs what is in it.
 *
 * Returns: the load in kg
 */
#define MEASURED 1

int press_load(CellarPress *press)
{
    return press->load;
}

int press_tare(CellarPress *press)
{
    return 12;
}
