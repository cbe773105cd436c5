/**
 * Presses crates for the hall.
 *
 * It is driven by the scales.
 */

#include <stdio.h>
#include "press.h"

#define MOST_CRATES 4

int press(int crate)
{
    return crate;
}

/**
 * @crate: the crate
 * @force: how hard it is pressed
 *
 * Press a crate once more, if the first time was not enough.
 */
void press_again(int crate, int force)
{
}

/**
 * Function: press_load
 *
 * Gets the load of a crate.
 *
 * @param crate which one
 */
int press_load(int crate)
{
    return crate;
}

/**
 * Fills the press.
 *
 * @param crate which one
 * @post Returns PRESS_FULL if there is no room
 */
int press_fill(int crate)
{
    return crate;
}

/**
 * Moves a crate to a place in the hall.
 *
 * @param crate, pointer to what is moved
 * @param x, y where to
 * @param force  how hard it is pushed
 * Return PRESS_OK on success
 */
int press_move(void *crate, int x, int y, int force)
{
    return x;
}

/* The press is available in halls built since 1998.  */
#define press_of(hall) (hall)
