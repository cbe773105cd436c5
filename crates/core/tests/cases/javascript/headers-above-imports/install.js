/* Of the yard. All may use it: this is its licence. */
/**
 * AUTO-GENERATED FILE. DO NOT MODIFY.
 */
import { scale } from './scale.js';

export function install(yard) {
  yard.add(scale);
}

const settings = {
  /** @prop {number} order=100 - what is weighed first */
  order: 100,
};

/** @fileOverview What a yard installs. */
export { settings };
