package press;

/**
 * Weighs, see {@link #weigh(int)}, {@link #wiegh(int)}, {@link Bridge#wide} and {@link Bridge#wise}.
 *
 * @see Bridge#narrow
 * @see Elsewhere#anything
 * @see java.util.List#add
 */
public class Scale {
    /** Weighs a crate of {@link #toString()} and {@link #hashCode}. */
    public int weigh(int load) { return load; }
}
