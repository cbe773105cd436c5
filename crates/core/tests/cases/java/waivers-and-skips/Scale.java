package press;

// vinequill: waive-file summary.echo -- names say enough here

/** A scale. */
public class Scale {
    /**
     * Weighs a crate. It must stand still.
     *
     * vinequill: waive param.missing, returns.* -- told in the overview
     */
    public int weigh(int load, int tare) { return load - tare; }

    // vinequill: waive comment.missing -- goes away with the next scale
    public int weighTwice(int load) { return load; }

    /**
     * Reads the load. It must stand still.
     *
     * vinequill: waive param.missing
     */
    public void read(int load) {}

    // vinequill: waive param.mising -- a rule that is not there
    /** Empties it. */
    public void empty() {}

    // vinequill: waive param.unknown -- nothing is unknown here
    /** Fills it. */
    public void fill() {}

    // vinequill: skip
    public static class Inner {
        public void notSeen(int load) {}
    }

    /** Says `vinequill: skip` in the middle of a line, which means nothing. */
    public void told(int load) {}
}
