/**
 * Presses a crate.
 *
 * @param days - how long, defaults to `2`
 * @param slow - whether it takes its time (default: true)
 * @param turns - how often. Defaults to 4, or more.
 * @returns its load
 */
export function press(days = 1, slow = false, turns = 3): number {
  return days + turns + (slow ? 1 : 0);
}
