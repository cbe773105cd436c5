/** A press. */
public class Press {
    /** Fine. @param */
    public void fine(int a) {}
    public void broken( { int = ; }
    /** Found again. */
    public void after() {}
}
