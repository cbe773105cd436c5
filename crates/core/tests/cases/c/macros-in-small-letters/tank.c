/**
 * Cools a tank.
 *
 * @param tank which one
 * @param unit no such
 */
static int cellar_call cool(my_unused void *tank, my_unused int degrees, pump_ struct Tank *next)
{
    return degrees;
}

static void
internal_function
drain (const char *name, int litres)
{
}

/** Logs what a pump says. */
void log_like(1, 2) pump_log(const char *form, ...);

/** Fills it. */
static void fill(int litres) internal_function;

/** Names one. */
struct Tank * cellar_call name_of(counted_by(size) const char *text, int size);

const int limits[] hidden = { 1, 2 };

typedef list_head(tank) tank_list;

/**
 * @warning
 * This may change.
 *
 * Makes a tank with all valves shut.
 *
 * @param valve how many
 */
cellar_experimental
static inline struct tank *
make_tank(int valves)
{
	return 0;
}

/*! @cond hidden */
#define CELLAR_HIDDEN 1
/*! @endcond */

int cellar_old(int valves) __attribute__((deprecated));
