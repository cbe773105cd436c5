/**
 * The larger one.
 * @param a one
 * @param b other
 */
#define MAX(a, b) ((a) > (b) ? (a) : (b))
/** How many. */
#define COUNT(list) \
    (sizeof(list) / \
     sizeof((list)[0]))
/** Litres in a tank. */
#define LITRES 500
#define PRINT(fmt, ...) printf(fmt, __VA_ARGS__)
/**
 * Logs.
 * @param ... all
 */
#define LOG(...) log_it(__VA_ARGS__)
#ifndef TANK_H
#define TANK_H
#endif

/**
 * Lifts a load onto a platform.
 *
 * @param load in kg
 * @param platform its number
 */
#define DEFINE_LIFT(T) \
int lift_##T(T load, \
             int platform) \
{ return (int)load; }
