package press;

/** Parses. */
public class Parser {
    /** Makes one. */
    public Parser(String name) {
        if (name.length() > 9) {
            throw new UnsupportedOperationException("long");
        }
    }

    /**
     * Parses.
     *
     * @throws NumberFormatException when it is no number
     */
    public static void parse(String line) {
        throw new NumberFormatException(line);
    }
}
