/**
 * Weighs. Slowly.
 * @param[in] crates what
 * @param[in,out] n how many
 * @param by how
 * @retval 0 if all is well
 * @retval -1 if not
 */
int weigh(const struct crate crates[static 1], size_t *restrict n, int (*by)(const struct crate *, void *)) { return by(crates, n); }
/** Sorts. Slowly.
 * @param a one
 * @param b another
 * @param ... more */
void sort(int a, int (*b)[3], ...) {}
/** Gets. Surely.
 * @param n which
 * @return what is called */
int (*get(int n))(double) { return 0; }
/* barn.c - barns. */

/** @file
 * Barns.
 */

/** @defgroup barn Barns
 * @{ */

/** How wide. In m. */
#define WIDTH 3

/** The larger. Of two.
 * @param a one
 * @param b another */
#define MAX(a, b) ((a) > (b) ? (a) : (b))

/** A crate. Of wood. */
struct crate {
    int mass; /**< in kg */
    char *name; /**< its name */
};

/** A kind. Of crate. */
enum kind {
    BIG, /**< a big one */
    SMALL /**< a small one */
};

/** Called. Often.
 * @param c the crate
 * @param data what was given
 * @return whether to go on */
typedef int (*visit_fn)(struct crate *c, void *data);

/** Visits. All.
 * @param fn what is called
 * @param data given to it
 * @return how many */
int visit(visit_fn fn, void *data);

/** @} */

/**
 * barn_weigh() - Weigh a barn.
 * @barn: which
 * @flags: how
 *
 * It takes long. Be patient.
 *
 * Return: its mass
 */
int barn_weigh(struct barn *barn, unsigned long flags)
{
    return 0;
}

/**
 * barn_set_mode:
 * @width: how wide it is
 * @mode: one of BARN_*
 *
 * Sets how crates are put in.
 *
 * @BARN_SLOW: one by one
 *
 * @BARN_FAST: all at once
 */
static void barn_set_mode(int width, int mode) { (void)width; (void)mode; }
