/**
 * Books a table.
 *
 * @param {number} table the number of the table
 * @return {boolean} whether it was free
 */
Room.prototype.book = function (table) {};

/**
 * The tables of a room, filled in when it opens.
 *
 * @return {Array} the tables
 */
Room.prototype.tables = () => {};

/**
 * Reads a bill.
 *
 * @param {string} text what it says
 * @return {Object} bill the bill
 * @return {number} bill.total its total in euros
 * @return {string} bill.guest who pays
 */
export function read(text) { return { total: text.length, guest: text }; }

/**
 * Pours a glass.
 *
 * @param {string} wine which wine
 * @param {number} amount in ml
 */

function helper(table) {
  return table;
}

/**
 * Frees a table.
 *
 * @param {number} number the number of the table
 * @param {string} guest who sat there
 */
export function free(table) { table.free = true; }

/**
 * Reads a price, or throws a `PriceError` where there is none.
 *
 * @param {string} text what the bill says
 * @return {number} the price in euros
 * @throws {PriceError}
 * @throws {TypeError}
 * @inherits Bill
 */
export function price(text) {
  if (!text) throw new PriceError(text);
  if (text === "free") throw new TypeError(text);
  return Number(text);
}

/**
 * Takes a crate off; each kind of scale does it in its own way.
 *
 * @param {string} crate its tag
 */
Scale.prototype.unload = function unload() {
  throw new Error("Scale#unload is for those that can");
};

/**---------------*/
/** Small crates   */
/**---------------*/
export class SmallScale {}

/**
 * Folds a crate.
 * @param {number} load What it holds.
 * @return {number} The mass.
 */
Barn.prototype.fold = function (load) {
  // Not here: whoever extends it folds.
};

/**
 * Weighs what lies on a scale of any make.
 *
 * @param {Crate} crate what lies on it
 * @param {number} times how often
 * @return {number} in kg
 */
AnyScale.prototype.weigh = async function () {};
