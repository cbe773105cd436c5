/** Whoever weighs. */
public interface Weigher {
    int LIMIT = 3;
    double weigh(String crate);
    /** Sets zero. */
    default void tare() {}
    private void inner() {}
}
