/**
 * @brief Opens a press
 * @details The press stays open until `press_close` is called.
 *
 * @param name what the press is called
 *
 * Presses of one name are the same press:
 *
 * - the first call opens it,
 * - every other counts.
 *
 * @param litres how much it holds, one of
 *
 * - 40
 * - 80
 *
 * @return the press
 *
 * @code
 * press *first = press_open("north", 40);
 * @endcode
 */
struct press *press_open(const char *name, int litres);

/**
 * \param press which press
 * \return whether it is empty
 *
 * Tells whether nothing is left in a press.
 */
int press_is_empty(const struct press *press);

/**
 * \param press the press
 * \return the weight
 *
 * Everything that was put into the press since it was opened is weighed, in kg.
 */
int press_weight(const struct press *press);

/**
 * Empties a press.
 *
 * \param press
 *
 * the press that is emptied
 */
void press_drain(struct press *press);

/**
 * Gauges a press.
 *
 * @param press the press, which must be open.
 * return its weight in kg, or a negative number on failure
 */
int press_gauge(const struct press *press);

/**
 * Fills a press to a mark. The arguments have the same meaning as those of the gauge.
 */
void press_fill_to(struct press *press, int mark);

/**
 * Vents a press.
 *
 * @param callback what is called at the end, and
 * returns whether to vent again
 */
int press_vent(int (*callback)(void));
