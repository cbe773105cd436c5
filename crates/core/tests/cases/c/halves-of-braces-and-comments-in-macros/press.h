PRESS_CPP(extern "C" {)

extern const char __given press_version[];

/** Weighs a crate. Empty.
 * @param C the crate
 */
#define /* double */ press_tare(/* const crate * */ C) \
    ((C)->tare)

/** Presses a crate. Slowly.
 * @param load what it holds, in kg
 * @return how many litres came out
 */
double press(double load);

PRESS_CPP(})
