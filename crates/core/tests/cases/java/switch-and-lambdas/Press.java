/** A press. */
public class Press {
    /**
     * Weighs.
     *
     * @param a x
     * @return y
     */
    public int weigh(int a) {
        int b = switch (a) {
            case 1 -> 2;
            default -> throw new IllegalArgumentException("a");
        };
        run(() -> { throw new IllegalStateException(); });
        synchronized (this) {
            if (b > 2) throw (RuntimeException) new java.util.NoSuchElementException();
        }
        return b;
    }
}
