/** A press. */
public class Press {
    /** Weighs. */
    public int weigh(int load) { return 0; }
    /** Returns the load. */
    public int load() { return 0; }
}
