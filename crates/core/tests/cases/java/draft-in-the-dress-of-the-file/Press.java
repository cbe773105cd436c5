/**
 * A press.
 */
public class Press {
    /**
     * Weighs a crate.
     * @param crate - the number of the crate
     * @return the load in kg
     */
    public double weigh(int crate) { return crate; }

    public double press(int vat) { return vat; }

    public void stop() {}
}
