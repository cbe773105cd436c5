/* Define it ourselves, where the library has none. */
int weigh_crate(int crate);

/* Any unsigned integer of 32 bits will do. */
typedef unsigned int crate_tag;

/* This function is written with loops for performance. */
int tip_crate(int crate);

/* Tips all crates of a press, one after the other. */
int tip_crates(int press);

/** Tips a crate, in the style of the old presses.
 *
 *  Same as tip_crate()
 */
int old_tip(int crate);

/** Tips a crate, in the style of the old presses.
 *
 *  Same as before it lies on its side.
 */
int older_tip(int crate);
