/** A press. */
public class Press {
    /** @hidden */
    public void gone(int a) {}
    /**
     * Inner.
     *
     * @private
     * @param b wrong
     */
    public void inner(int a) {}
    /** Inner type.
     * @hide */
    public static class Gone { public void member() {} }
}
