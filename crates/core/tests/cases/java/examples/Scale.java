package press;

/** A frame. */
public class Scale {
    /**
     * Checks a crate.
     *
     * <pre>{@code
     * int load = scale.weigh(3);
     * if (load > 2) {
     *     print(load);
     * }
     * }</pre>
     *
     * {@snippet :
     *   int load = scale.weigh(3;
     *   print(load);
     * }
     *
     * <pre>{@code
     * scale.weigh(...) and so on (
     * }</pre>
     */
    public void weigh() {}
}
