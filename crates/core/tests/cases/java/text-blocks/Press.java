/** A press. */
public class Press {
    String sql = """
        /** not a comment
         * @param x
         */
        """;

    /** Prints. */
    public void print() { String s = "/** nor this */"; }
}
