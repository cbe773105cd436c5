/** A wine press. */
public class Press {
    /** Presses what is in the basket. */
    public void press() {
        // TODO: rinse the plates first
        close();
        squeeze();
        // drain(must, 3);
        open();
    }
}
