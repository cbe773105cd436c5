/** A press. */
public class Press {
    /**
     * Weighs.
     *
     * @param  load  - in kg
     * @param
     *     crate its tag
     * @param unit: of both
     * @param hour -
     * @return {@code true} when done,
     *     {@code false}
     *     otherwise
     * @throws {@link IllegalStateException} if off
     */
    public boolean weigh(double load, int crate, String unit, int hour) {
        throw new IllegalStateException("off");
    }

    /**
     * Weighs a crate. Slowly.
     * @param $load what lies in it
     * @param größe how large
     * @return its mass
     */
    public int weighAll(int $load, int größe) {
        return $load + größe;
    }
}
