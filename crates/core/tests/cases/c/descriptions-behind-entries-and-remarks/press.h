/** @file
 * The press.
 */

/**
 * @param option the option of a press
 *
 * @details Gets the name of an option.
 *
 * @return its name
 */
char *press_option_name(struct press_option *option);

/*! \fn double press_load(double at)
 * \param at Julian day
 * \return the load in kg
 * \todo Use the tare.
 *
 * Works out the load of the press.
 */
double press_load(double at);

/*! \fn double press_tare(double at)
 * \param at Julian day
 * \return the tare in kg
 * \todo Use the load.
 */
double press_tare(double at);

/**
 * Copies the crates.
 *
 * @param count      how many
 * @retval copied    how many were copied
 * @return           0 on success
 */
int press_copy(int count, int *copied);

/**
 * Splits the load.
 *
 * @param load in kg
 * @retval *left  what stays
 */
void press_split(int load, int *left);

/**
 * Drops the load.
 *
 * @param load in kg
 * @retval 0 when it is gone
 */
void press_drop(int load, int *left);

/**
 * press_open:
 * @speed: how fast it turns
 *
 * Opens the press.
 *
 * @Deprecated: use press_turn() instead.
 *
 * @Since: 2.1
 */
void press_open(int speed);
