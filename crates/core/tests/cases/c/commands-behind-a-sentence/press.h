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

/** Presses what was pressed last. @stable Yard 2.0 */
int press_last(void);

/**
 * Presses a crate from above. See press_crate() for more information.
 */
int press_above(int crate, int load);

/**
 * Presses a crate by the law. For details on the law, see the handbook.
 */
int press_by_law(int crate, int load);

/*! @function
  @abstract  Presses a crate to a given height
  @param     crate  the crate
  @return    the height that was reached
 */
#define press_to(crate) press_crate(crate, 0)
