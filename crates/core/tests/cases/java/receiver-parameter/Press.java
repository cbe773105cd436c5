/** A press. */
public class Press {
    /**
     * Turns it.
     *
     * @param times how often
     */
    public void turn(Press this, int times) {}
}
