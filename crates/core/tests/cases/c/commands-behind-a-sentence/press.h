/** Presses a crate. \since 0.9.16 */
int press_crate(int crate, int load);

/** Presses a crate again (as
 * press_crate() does). \since
 * 0.9.16 */
int press_again(int crate, int load);

/** Presses a crate thrice. \deprecated use press_crate() */
int press_thrice(int crate, int load);

/** Weighs a crate. It is tared before. \since 1.0 */
int weigh_crate(int crate);

/** Tares the scale. \since 1.0. It must be empty. */
int tare(int scale);
