/** A press. */
public class Press {
    /** {@return the load in kg, {@code 0} when empty} */
    public int load() { return 0; }

    /**
     * {@return the load of a crate}
     *
     * @param crate its tag
     */
    public int load(int crate) { return 0; }
}
