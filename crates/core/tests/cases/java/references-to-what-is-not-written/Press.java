package ridge.press;

/** How a crate stands. Each has a place. */
public enum Standing {
    UPRIGHT,
    TILTED;

    /**
     * Finds one by its number; see {@link #ordinal()} and {@link Standing#valueOf(String)}.
     * {@link #nowhere()} is no such.
     *
     * @param number its number
     * @return the one that has it
     */
    public static Standing at(int number) {
        return values()[number];
    }
}

/**
 * A result that is waited for.
 *
 * @see #isDone()
 */
interface Future extends java.util.concurrent.Future {
    /** Is notified when this is {@linkplain #isDone() done}. */
    void listen();
}
