/**
 * Wägt die Kisten.
 *	@param {number} größe in kg
 * @param {string} b two
 */
export async function wäge(
	größe, // how big, (in kg)
	/* second */ b = "a, (b", c = [1, { d: 2 }],
) {
	return größe;
}
/** One. */
export const one = 1, two = (x) => x;
/** Broken. */
export function broken( { return 3 }
/** After. */
export function after(a) {}
