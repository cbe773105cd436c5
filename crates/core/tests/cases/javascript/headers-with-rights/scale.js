#!/usr/bin/env node
/**
 * The scale of Sallow Ridge, version 7.
 *
 * Copyright Sallow Ridge. All rights reserved.
 */
//#region scale
export function weigh(crate) {
  return crate.load;
}

/**
 * Tells the tare. Copyright of the text: Sallow Ridge.
 */
export function tare(crate) {
  return crate.tare;
}
