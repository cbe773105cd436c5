#ifndef TANK_H
#define TANK_H

#ifdef __cplusplus
extern "C" {
#endif

/** Opens a tank. */
TANK_API int TANK_CALL tank_open(const char *RESTRICT name, int) TANK_NONNULL(1);

/** Fills it. */
TANK_EXTERN(int) tank_fill(struct tank *t, void (*done)(int), ...);

TANK_DEPRECATED("use fill") void tank_pour(void);

/** Old form. */
extern int tank_old OF((int a, int b));
/** Counts the crates of a yard. */
YARD_F( int )
count_crates YARD_P((
	struct yard *yard,
	int first ));

/** Forgets a yard. */
YARD_F( void ) forget YARD_P((struct yard *yard));

__attribute__((noreturn)) void tank_die(void);

/** A callback. @param level the level */
typedef int (TANK_CALL *tank_cb)(int level, void *arg);

/** Maximum. @param a one @param b other */
#define TANK_MAX(a, b) ((a) > (b) ? (a) : (b))

#define TANK_LIMIT 10

/** Split. */
int tank_split(
#if A
  int a
#else
  int b
#endif
);

#ifdef A
int tank_twin(int a);
#else
int tank_twin(int a);
#endif

struct tank; /* forward */

/** A tank. */
struct TANK_PACKED tank {
  int level; /**< in mm */
  int flags : 3; ///< bits
  unsigned size /**< in litres */, used;
};

enum tank_state {
  TANK_OFF TANK_ATTR = 0, /**< off */
  TANK_ON,
};

#ifdef __cplusplus
}
#endif
#endif
