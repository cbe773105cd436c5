/** A press. */
public class Press {
    /**
     * Reads a scale.
     *
     * @param port where it hangs
     * @throws java.io.IOException if it does not answer
     */
    public void read(int port) throws java.io.IOException, java.util.concurrent.TimeoutException, Overload {}

    /**
     * Reads all.
     *
     * @exception Exception if one fails
     */
    public void readAll() throws java.io.IOException {}

    static class Overload extends Exception {}

    /**
     * Checks the seal of a crate. It must be whole.
     *
     * <p>See {@link #checkSeal(int, String)} for details.
     */
    public void checkSeal(int crate) {
        if (crate < 0) {
            throw new IllegalArgumentException("no crate");
        }
    }

    /** Checks the seal of a crate. It must be whole. */
    public void checkSeal(int crate, String seal) {
        if (crate < 0) {
            throw new IllegalStateException("no crate");
        }
    }
}
