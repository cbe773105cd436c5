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
