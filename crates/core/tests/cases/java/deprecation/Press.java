/** A press. */
public class Press {
    /**
     * Old.
     *
     * @deprecated use another
     */
    @Deprecated
    public void old() {}
    @Deprecated public void silent() {}

    /** Tries what is old. */
    @Deprecated
    @Test
    public void tried() {}

    /** Presses twice. */
    @Deprecated
    public void twice() {}
}
