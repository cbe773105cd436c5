/**
 * @file
 * Pumps.
 */

/**
 * \brief Runs a pump. For a while.
 *
 * \param[in] id which
 * \param[out] level the level
 * \param gone nothing
 * \retval 0 done
 * \retval -1 failed
 *
 * \code
 * \param none
 * \endcode
 */
int pump_run(int id, int *level, int speed);

/**
 * pump_stop() - stops a pump
 * @id: which
 * @gone: nothing
 *
 * Stops it at once.
 *
 * Return: whether it stopped
 */
int pump_stop(int id, int hard);

/*! @name Levels
 *  What is measured.
 * @{ */
int pump_level(void);
int pump_rate(void);
/*! @} */

/** Inline. Comments. @param a first */
void pump_inline(int a, /**< the first */
                 int b  /**< the second */);

/** @fn pump_else */
int pump_here(void);

/**
 * @internal
 * Returns how many pumps there are. None of them runs.
 *
 * @param hose what they hang on
 */
int pumps_of(int hoses);

/**
 * @deprecated This was a thing of the past. It does nothing.
 *
 * @param id which pump
 */
void pump_wash(int id);

/**
 * Fills a pump. It runs dry otherwise.
 * @arg id      which pump
 * @arg litres  how much, where <n> = <i> - 1
 */
void pump_fill(int id, int litres);

/** \internal Gives the pump that runs, or the one before if none does.
 *  It is found by halves.
 */
int pump_running(int first);
