public class Press<T> {
    public Press(String name) {}
    public int weigh(double load, int... crates) throws java.io.IOException {
        if (load < 0) throw new IllegalArgumentException("load");
        return 0;
    }
    /** Weighs. @return kg */
    public int one() { return 1; }
    /** Weighs one crate. It is slow. */
    public int two(int crate, int unit) { return 1; }
    /**
     * Weighs.
     *
     * @param unit of measure
     * @since 2
     */
    public int three(int crate, int unit, boolean net) throws Exception { return 1; }
    /**
     * @param crate its tag
     */
    public void four(int crate) {}
    /** */
    public void five(int a) {} public void six() {}
}
