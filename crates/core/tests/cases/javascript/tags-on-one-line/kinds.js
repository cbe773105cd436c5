/**@param {any} crate @return {boolean} */
export const isCrate = (crate) => crate.kind === 'crate';
/** @param {number} load @param {number} tare @returns {number} the net load */
export const net = (load, tare) => load - tare;
/** @param {number} load the load @param {number} tare */
export const gross = (load, tare) => load + tare;
