/** A press. */
public class Press {
    /**
     * Weighs.
     *
     * @param first one
     * @param middle two
     * @param last three
     */
    public void between(int first, int other, int last) {}
    /**
     * Weighs.
     *
     * @param loud one
     * @param load_ two
     */
    public void nearest(int load, int Load) {}
    /**
     * Weighs.
     *
     * @param a one
     * @param x two
     * @param y three
     */
    public void two(int a, int b, int c) {}
    /**
     * Weighs.
     *
     * @param nothing x
     */
    public void none() {}
}
