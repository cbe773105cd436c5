/** A press. */
public class Press {
    /**
     * Sums loads.
     *
     * @param unit the unit of all
     * @param loads... the loads
     * @return the sum
     */
    public int sum(String unit, int... loads) { return 0; }

    /**
     * Sums arrays.
     *
     * @param rows the rows
     * @param other not there
     */
    public void rows(@Named("a,b") final int[]... rows) {}
}
