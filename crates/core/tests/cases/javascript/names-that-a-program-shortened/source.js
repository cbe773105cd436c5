/** Functions of a bundle, their parameters shortened by a program. */

/**
 * Step a of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_a(e, t) {
  t(e);
}

/**
 * Step b of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_b(e, t) {
  t(e);
}

/**
 * Step c of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_c(e, t) {
  t(e);
}

/**
 * Step d of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_d(e, t) {
  t(e);
}

/**
 * Step e of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_e(e, t) {
  t(e);
}

/**
 * Step f of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_f(e, t) {
  t(e);
}

/**
 * Step g of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_g(e, t) {
  t(e);
}

/**
 * Step h of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_h(e, t) {
  t(e);
}

/**
 * Step i of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_i(e, t) {
  t(e);
}

/**
 * Step j of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_j(e, t) {
  t(e);
}

/**
 * Step k of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_k(e, t) {
  t(e);
}

/**
 * Step l of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_l(e, t) {
  t(e);
}

/**
 * Step m of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_m(e, t) {
  t(e);
}

/**
 * Step n of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_n(e, t) {
  t(e);
}

/**
 * Step o of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_o(e, t) {
  t(e);
}

/**
 * Step p of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_p(e, t) {
  t(e);
}

/**
 * Step q of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_q(e, t) {
  t(e);
}

/**
 * Step r of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_r(e, t) {
  t(e);
}

/**
 * Step s of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_s(e, t) {
  t(e);
}

/**
 * Step t of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_t(e, t) {
  t(e);
}

/**
 * Step u of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_u(e, t) {
  t(e);
}

/**
 * Step v of the weighing. It does not wait.
 *
 * @param crate - the number of the crate
 * @param scale - where it stands
 */
export function step_v(e, t) {
  t(e);
}
/**
 * Focus to the first.
 * @param {Squire} sq The editor.
 * @param {jQuery} $table The table.
 */
/**
 * @fileoverview Tables.
 */
export function focus(sq, $table) {
  sq.focus($table);
}

/**
 * Focus to the second.
 * @param {Squire} sq The editor.
 * @param {jQuery} $table The table.
 */
export function second(sq, $table) {
  sq.focus($table);
}

/**
 * A view of crates. Of all.
 * @param {string} name Its name.
 */
export function View(name) {
  if (!(this instanceof View)) return new View(name);
  this.name = name;
}

/**
 * Picks labels to show.
 * @param  {object} params           - Parameters:
 * @param  {Set}    shownLabels      - Those shown.
 * @param  {Graph}  graph            - The graph.
 * @return {Array}                   - The labels.
 */
export function pick(params) {
  var graph = params.graph,
    shownLabels = params.shownLabels;
  return graph.pick(shownLabels);
}

/**
 * Makes a chart.
 * @param {string} renderTo Where to.
 * @param {Options} options How.
 * @param {Function} [callback] What is called.
 * @return {Chart} The chart.
 */
export function chart(a, b, c) {
  return new Chart(a, b, c);
}

/**
 * Weighs crates. Slowly.
 * @type {(crates: Crate[], tare: number) => number}
 */
export const weighAll = (crates, tare) => crates.length - tare;
