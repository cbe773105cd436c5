/** A press. */
public class Press {
    /** The handle. */
    static class Handle {
        /** Turns. */
        public void turn() {}
    }

    /** Starts. */
    public void start() {
        class Local {
            public void run() {}
        }
        Runnable later = new Runnable() {
            /** @param nothing wrong here as well */
            @Override public void run() { throw new IllegalStateException(); }
        };
        Runnable now = () -> { throw new IllegalStateException(); };
    }
}
