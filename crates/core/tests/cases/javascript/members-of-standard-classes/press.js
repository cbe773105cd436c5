/** A press on a page. */
export class PressElement extends HTMLElement {
  connectedCallback() {
    this.run();
  }

  run() {}

  toString() {
    return "press";
  }

  toString2() {
    return "press";
  }
}
