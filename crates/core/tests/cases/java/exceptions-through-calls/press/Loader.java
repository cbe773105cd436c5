package press;

/** Loads. */
public class Loader {
    /** Loads a file. It is read as a whole. */
    public void load(String name) {
        Parser.parse(name);
        this.check(name);
        new Parser(name);
    }

    /** Loads it or not. What is broken is left out. */
    public void loadSafely(String name) {
        try {
            Parser.parse(name);
        } catch (IllegalArgumentException broken) {
            check(name);
        }
    }

    private void check(String name) {
        if (name.isEmpty()) {
            throw new IllegalStateException("no name");
        }
        log(name);
    }
}
