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

/** Presses a crate by night. @YARD */
int press_by_night(int crate, int load);

/**
 * Presses a crate by day.
 *
 * @NEW_1_12_8
 */
int press_by_day(int crate, int load);

/** Presses a crate by turns. @turns each crate once */
int press_by_turns(int crate, int load);

/**
 * Makes the press point to the crate.
 *
 * See the documentation for `press_above()`.
 */
int press_point(int crate);

/**
 * Tells how many fields there are, by the |load|. If
 * |load| has none, it is weighed.
 */
int press_fields(int crate, int load);

/**
 * Writes the load as text. The text ends with a blank.
 *
 * press_write() gives nothing else away.
 *
 * press_write() returns the number of letters.
 */
int press_write(void);

/** As press_crate(), but by night. It takes twice as long. */
int press_crate_by_night(int crate, int load);

/**
 * Tells of a failure.
 *
 * C<status> is what was told by the press, *reason* says why.
 */
void press_failed(int status, const char *reason, int crate);
