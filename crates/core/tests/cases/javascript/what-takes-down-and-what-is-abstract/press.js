/** A press. */
export class Press {
    /**
     * Gives the press back.
     */
    destroy() {
        this.juice = undefined;
        return destroyObject(this);
    }

    /**
     * Names what is pressed; each press knows its own.
     *
     * @returns {string} the name
     */
    fruit() {
        PressError.throwNotImplemented();
    }
}
