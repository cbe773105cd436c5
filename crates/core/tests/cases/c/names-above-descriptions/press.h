/**
 * press_get_load: (attributes org.crate.Method=load)
 * @press: a `Press`
 *
 * Gets the load of the press.
 *
 * It is weighed anew.
 */
int press_get_load (Press *press);

/**
 * press_is_full:
 * @press: a `Press`
 *
 * Returns %TRUE if the press is full.
 *
 * Returns: %TRUE if it is full.
 */
int press_is_full (Press *press);

/**
 * press_empty:
 * @press: a `Press`
 *
 * Empties the press. It is stopped first.
 */
void press_empty (Press *press, int fast);

/**
 * press_level() - Read the level.
 * @press: a press
 *
 * It is read anew.
 */
int press_level (Press *press);

/// @todo: weigh it twice
int press_weigh_again(Press *press);

/**
 * TANK_LABEL:
 *
 * Label of a tank
 */
#define TANK_LABEL(world) get_label(world, 1)
