/**
 * Weighing in the harvest: scales, crates and what they tell.
 */
package ridge.sallow.weighing;
