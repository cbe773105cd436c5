package press;

/** A scale */
public class Scale {
    /**
     * Weigh a crate.
     * @since 2.1
     * @param load in kg
     * @throws IOException when it cannot be read
     * @throws BusyException when it moves
     */
    public void weigh(int load) throws IOException, BusyException {
        // TODO weigh twice
        // int tare = read();
        read(load);
    }

    /** Returns the load. */
    @Deprecated
    public int load() { return 1; }
}
