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
}
