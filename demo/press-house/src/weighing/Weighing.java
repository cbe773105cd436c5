package ridge.sallow.weighing;

/**
 * One weighing of one crate.
 *
 * @param crate the tag of the crate
 * @param net the net load in kg
 */
public record Weighing(String crate, double net, int minuteOfDay) implements Comparable<Weighing> {

    /**
     * Tells which of two weighings came first.
     *
     * @param other {@inheritDoc}
     */
    @Override
    public int compareTo(Weighing other) {
        return Integer.compare(minuteOfDay, other.minuteOfDay);
    }

    /** {@return the net load in tonnes} */
    public double tonnes() {
        return net / 1000;
    }

    /**
     * Adds another load of the same crate.
     *
     * @param load
     * @param load the load to add, in kg
     * @return a weighing with the sum
     * @return the sum
     */
    public Weighing plus(double load) {
        return new Weighing(crate, net + load, minuteOfDay);
    }
}
