/**
 * @file press.h
 * @brief What the cellar knows of its presses.
 * @{
 */

/** @name Kept for old presses
 *
 * These are there for presses that were built before the fire. New ones
 * are weighed by the scale.
 */
/**@{*/
int press_load(int press);
typedef int press_weight;
/**@}*/

/** @name No more than a title */
/**@{*/
int press_rate(int press);
/**@}*/

int press_speed(int press);
/** @} */

/**
 * Presses crates one by one.
 *
 * All other parameters remain the same as in `press_load()`.
 */
void press_each(int press, int crates);
