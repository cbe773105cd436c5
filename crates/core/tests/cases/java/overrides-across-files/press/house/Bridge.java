package press.house;

/** A scale under a road. */
public class Bridge implements Scale {
    public int weigh(int load) { return load; }

    public int weigh(int load, int tare) { return load - tare; }

    /**
     * Reads it. A fault is passed on.
     *
     * @throws BaseFault when it is broken
     */
    public void read() {
        throw new ScaleFault();
    }

    /** Reads it again. What is broken is told elsewhere. */
    public void readAgain() {
        try {
            throw new ScaleFault();
        } catch (BaseFault fault) {
            log(fault);
        }
    }
}
