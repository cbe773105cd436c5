package press;

/** A scale under a road. */
public class Bridge {
    /** How wide it is in m. */
    public int wide;

    /** Lanes. */
    public enum Lane { LEFT, RIGHT }

    /** {@inheritDoc} */
    public void none() {}
}
