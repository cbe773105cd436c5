/** @file
 * What a yard holds.
 */

/** A scale. */
struct scale {
	/** @mm_width: Width of the scale in millimetres. */
	int mm_width;
	/**
	 * @flags:
	 *
	 * What it shows.
	 */
	int flags;
	/** @load what it carries */
	int weight;
};

/**                                   **/
/**        LIFTING                    **/
/**                                   **/
/*************************************/

int lift(int load);

/**
 * Lifts a crate.
 *
 * \crate_id
 * \param height how far
 */
void lift_crate(int crate_id, int height);

/**
 * Called for each crate.
 *
 * The return value is taken for its mass.
 */
typedef int weigh_fn(int crate);

/**
 * \define LIFT
 * Lifts everything.
 *
 * \param height how far
 */
#define LIFT(height) lift((height))
