package ridge.sallow.weighing;

import java.io.IOException;
import java.util.Objects;

/**
 * A platform scale in the yard of the press house.
 *
 * <p>A scale is tared once with an empty crate, and then tells net loads.
 */
public class Scale {

    /** The largest load the platform carries, in kg. */
    public static final double LIMIT = 1500.0;

    private final String port;
    private double tare;

    /**
     * Opens the scale.
     *
     * @param prot the serial port it hangs on, such as {@code /dev/scale1}
     */
    public Scale(String port) {
        this.port = Objects.requireNonNull(port);
    }

    /**
     * Takes what stands on the platform as zero.
     *
     * @param load the load of the empty crate, in kg
     * @throws IllegalArgumentException if the load is negative
     */
    public void tare(double load) {
        if (load < 0) {
            throw new IllegalArgumentException("negative load: " + load);
        }
        this.tare = load;
    }

    /**
     * Weighs what stands on the platform.
     *
     * @param attempts how often to ask before giving up
     * @return the net load in kg
     */
    public double weigh(int attempts, double tolerance) throws IOException {
        for (int i = 0; i < attempts; i++) {
            double gross = read(port);
            if (gross > LIMIT) {
                throw new OverloadException(gross);
            }
            if (gross > tolerance) {
                return gross - tare;
            }
        }
        throw new IOException("no answer on " + port);
    }

    /**
     * Weighs a row of crates one after the other.
     *
     * @param tags the tags of the crates, in the order they are put on
     * @param attempts how often to ask for each
     * @return the net loads in kg, in the order of the tags
     * @throws IOException if the scale does not answer
     */
    public double[] weighAll(int attempts, String... tags) throws IOException {
        double[] loads = new double[tags.length];
        for (int i = 0; i < loads.length; i++) {
            loads[i] = weigh(attempts, 0.5);
        }
        return loads;
    }

    // Tells whether the scale was tared today.
    public boolean isTared() {
        return tare > 0;
    }

    /**
     * Prints the last load to the slip printer.
     *
     * @return the slip
     */
    public void print() {
        System.out.println(tare);
    }

    @Deprecated
    /** Sets the unit; everything is in kg now. */
    public void setUnit(String unit) {
    }

    public void close() {
        /** Nothing to close yet. */
        tare = 0;
    }

    /**
     * Weighs an empty crate, <b>before the must is in it.
     *
     * <p>The value is <em>only</em> taken over when the scale stood still for {@code 3 s.
     *
     * vinequill: waive param.missing -- the crate is known by its tag
     *
     * @param crate the crate, seperately from its load
     */
    @Deprecated
    public void weighEmpty(String crate) {
    }

    private static double read(String port) throws IOException {
        if (port.isEmpty()) {
            throw new IOException("no port");
        }
        return 0;
    }

    /** More stands on the platform than it carries. */
    public static class OverloadException extends IOException {

        /**
         * Makes the exception.
         *
         * @param gross what stands on the platform, in kg
         */
        public OverloadException(double gross) {
            super("overload: " + gross + " kg");
        }
    }
}
