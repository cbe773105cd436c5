/** Loads that belong together. */
public final class Loads {
    /** Returns the given loads, in order. None of them is kept. */
    public static int[] of(int load1, int load2, int load3, int load4) {
        return new int[] {load1, load2, load3, load4};
    }

    /** Returns both loads. None of them is kept. */
    public static int[] pair(int load1, int load2) {
        return new int[] {load1, load2};
    }

    /** Rounds a load. If the argument is negative, it is rounded down. */
    public static void round(int load) {}

    /** Rounds a load. If the argument is negative, it is rounded down. */
    public static void roundTo(int load, int unit) {}

    /**
     * Throws {@code error} if it is of the type. Others are kept.
     *
     * @param error what may be thrown
     * @param type what it has to be
     */
    public static <X extends Exception> void throwIf(Exception error, Class<X> type) throws X {
        if (type.isInstance(error)) {
            throw type.cast(error);
        }
    }
}
