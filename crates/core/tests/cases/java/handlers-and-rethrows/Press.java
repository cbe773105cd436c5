import java.io.*;

/** A press. */
public class Press {
    /**
     * Catches what it throws.
     *
     * @param a x
     */
    public void caught(int a) {
        try {
            throw new FileNotFoundException();
        } catch (IOException e) {
            log(e);
        }
    }

    /**
     * Throws again.
     *
     * @param a x
     */
    public void again(int a) {
        try (Reader r = open()) {
            r.read();
        } catch (IllegalStateException | IllegalArgumentException e) {
            throw e;
        } finally {
            throw new UnsupportedOperationException("a");
        }
    }

    /**
     * Throws what the handler may catch: a type from elsewhere.
     *
     * @param a x
     */
    public void perhaps(int a) {
        try {
            throw new VendorException();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /**
     * Refuses.
     *
     * @param a x
     */
    public void guard(String a) {
        java.util.Objects.requireNonNull(a);
        if (a == null) throw new IllegalArgumentException();
        if (a.isEmpty()) { throw new IllegalStateException(); }
        throw new AssertionError();
    }

    /**
     * Never throws it.
     *
     * @throws IOException never
     * @throws NullPointerException as anything may
     */
    public int calm() { return 1 + 2; }
}
