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

//! Starts a pump as
/// its controller wants it.
//
//  n.b. some never start
/*!
   \param number which one
*/
void start(int number);

pump_handler_is_deprecated handler_of(int number);

YARD_DEPRECATED_FOR(handler_of) void *old_handler_of(int number);

/// A pump by its makers.
class Pump {
public:
    /// Makes another of the same. Only pumps that can be made again need to write it.
    ///
    /// @param number what it gets
    /// @return the other
    virtual Pump *again(int number) {
        throw Error("cannot be made again");
    }
};
