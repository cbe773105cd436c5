package press;

/** What weighs. */
public interface Scale {
    /** Weighs a load. */
    int weigh(int load);
}
