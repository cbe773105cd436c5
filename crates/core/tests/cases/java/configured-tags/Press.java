/** A press. */
public class Press {
    /**
     * Weighs.
     *
     * @ticket 12
     * @tickt 13
     * @jls 9.4
     * @Override in prose
     * @see a@b.example
     */
    public void weigh() {}
}
