/** A label on a crate. */
export class Label {
  /**
   * @name Press.Label#baseline
   * @property {String} - How the text is aligned.
   */
  _baseline = 'middle';

  /**
   * @property {String[]} - The properties of all labels.
   */
  static Properties = ['baseline'];

  /**
   * @property {String}
   */
  text = '';
}
