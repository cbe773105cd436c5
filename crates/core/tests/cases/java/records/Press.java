/**
 * A weighing.
 *
 * @param crate the tag
 * @param net in kg
 */
public record Weighing(String crate, double net, int hour) {
    /** Refuses empty crates. */
    public Weighing {
        if (net < 0) throw new IllegalArgumentException("net");
    }

    /**
     * Makes one of today.
     *
     * @param crate the tag
     */
    public Weighing(String crate) { this(crate, 0, 0); }
}
