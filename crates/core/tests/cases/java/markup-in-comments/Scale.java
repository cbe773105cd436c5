package press;

/** Weighs <b>crates</b>, x<sup>2</sup>, {@code a < b}, <code>List<String></code>, and `T<b>`. */
public class Scale {
    /** Not closed: <i>here. */
    public void open() {}

    /** Never open: here</em>. */
    public void shut() {}

    /**
     * Two parts, <b>each its own.
     *
     * @param load in <em>kg</em>
     */
    public void parts(int load) {}

    /** Of the form <code>void <i><code>weigh</code></i>(load)</code>. <code>true<code> if it weighs. */
    public void form() {}

    /** A map of {@code Map<A, B> and no end. */
    public void inline() {}

    /** <p>A list: <ul><li>one <li>two</ul> <br> <hr/> */
    public void optional() {}

    /**
     * <pre>
     * if (a < b) { List<i> x; }
     * </pre>
     */
    public void shown() {}
}

/** Weighs with <A HREF="scale.html">the scale</a> of a <B>type</B>, or a <T>. */
class Linked {}
