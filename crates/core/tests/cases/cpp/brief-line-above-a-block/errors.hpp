//! Tells an error of a pump in words.
/*!
    \ingroup errors
    \param code what the pump says
    \param tongue no such
    \return the words
*/
const char *in_words(int code);

/*!
    \param code what the pump says
    \return the words
*/
const char *in_other_words(int code);

/// Stops a pump.
/**
 * It may run on for a second.
 *
 * @param number which one
 */
int stop(int number, int seconds);
