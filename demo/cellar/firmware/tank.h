/**
 * @file
 * Sensors of the cellar's tanks: level, temperature and the valve below them.
 */
#ifndef CELLAR_TANK_H
#define CELLAR_TANK_H

#include <stdbool.h>
#include <stddef.h>

#ifdef __cplusplus
extern "C" {
#endif

/** How many tanks one board serves. */
#define TANK_COUNT 12

/**
 * Converts a raw reading to tenths of a degree.
 *
 * @param raw what the converter gave
 */
#define TANK_DEGREES(raw) (((raw) * 625) / 100)

/** What a tank is doing. */
enum tank_state {
    TANK_IDLE,     /**< neither filled nor emptied */
    TANK_FILLING,  /**< must comes in */
    TANK_DRAINING, /**< wine goes out */
};

/** One tank as its board sees it. */
struct tank {
    int number;            /**< painted on the door */
    enum tank_state state; /**< since the last command */
    double level;          /**< in litres */
    double degrees;        /**< of the must, in degrees Celsius */
};

/**
 * Called when a tank reaches a level. Runs on the timer's stack.
 *
 * @param tank which one
 * @param level what was reached, in litres
 */
typedef void (*tank_reached)(const struct tank *tank, double level);

/**
 * Opens the board. Must be called first.
 *
 * @param port where the board hangs
 * @param timeout how long to wait, in milliseconds
 * @return 0 when it answers, a negative number otherwise
 */
CELLAR_API int tank_open(const char *port, unsigned timeout);

/**
 * Reads one tank. The last reading is kept when the sensor is silent.
 *
 * @param number which tank
 * @param[out] into where the reading goes
 * @param retries how often to try again
 * @retval true a fresh reading
 * @retval false the last one
 */
CELLAR_API bool tank_read(int number, struct tank *into, int attempts);

/**
 * Opens the valve. Shuts it again after a time.
 *
 * @param number which tank
 * @param seconds for how long
 */
CELLAR_API void tank_drain(int number, double litres, unsigned seconds);

/**
 * tank_watch() - calls back when a level is reached
 * @number: which tank
 * @level: the level in litres
 * @reached: what is called
 *
 * One watch a tank; a second one replaces the first.
 *
 * Return: whether the sensor can tell levels at all
 */
CELLAR_API bool tank_watch(int number, double level, tank_reached reached);

CELLAR_API void tank_close(void);

/**
 * Tells what a tank is doing.
 *
 * @param[out] number which tank
 * @retval TANK_IDLE nothing moves
 * @retval TANK_FILLING must comes in
 */
CELLAR_API enum tank_state tank_does(int number);

#ifdef __cplusplus
}
#endif

#endif
