#ifndef _@GUARD_PREFIX@_PRESS_H
#define _@GUARD_PREFIX@_PRESS_H
#if __GNUC__ >= 3
@PRAGMA_SYSTEM_HEADER@
#endif
@PRAGMA_COLUMNS@
#include <stdint.h>

/** Grape press. */
struct press {
    uint8_t ALIGN(loads[2][32], 8); /**< net loads in kg */
    int8_t ALIGN(tare, 8); /**< tare in kg */
};

static uint8_t ALIGN(masks_of_crates[2 * 16], 64);
static const size_t room = (sizeof(size_t) == 4) ? (2 GB - 64 MB) : 110 KB;

/** Stops the press for good. */
static void press_attribute((__noreturn__))
press_stop(const char *reason)
{
  abort();
}

/**
 * Expects a load.
 *
 * @param[in] #function the function
 * @param[in] load  in kg
 */
void expect_load(#function, int load);

/** Plans a press that takes so many crates. */
X(plan) X(plan_press)(int count);

/** Plans a press that takes so many crates by hand. */
X(plan) *X(plan_press_by_hand)(int count);

PRESS_EXPORT PRESS_CLASS_DECLARATION(press_stream_t);
#endif

// memcpy() is the safe way of moving loads.
static inline uint32_t press_load_of(const uint8_t *load);

// Support loads of four digits at least.
typedef uint16_t press_load;

// Open/Close the press.
int press_load_of_crate(int crate);

/* All known presses that lack a lid also lack this structure. */
struct press_lid { int open; };
