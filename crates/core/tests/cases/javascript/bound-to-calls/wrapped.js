/**
 * A memoised weight.
 * @param {number} crate which
 */
export const weigh = memo((crate, slope) => crate);
/** Shown later. @param {string} x any */
export const later = debounce(show, 10);
/** A sign. @param {object} props all */
export const Sign = forwardRef(function Sign(props, ref) { return null; });
export const bound = weigh.bind(null, 1);
