/**
 * Presses, by hand.
 * $Id: press.js 12 2026-01-07 $
 */

function press(crate) {
  return crate;
}
