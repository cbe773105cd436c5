/** A press. */
public class Press {
    /**
     * Weighs.
     * <pre>
     * @param shown not an entry
     * </pre>
     * {@code
     *   @return not one either
     * }
     *
     * @param load what it weighs
     *   @see more text
     */
    public int weigh(int load) { return 0; }
}
