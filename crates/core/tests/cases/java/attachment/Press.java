/* licence of the file, all of it */
package a;

/** Belongs to the class, past an import. */
import java.util.List;
import java.util.Map;

public class Press {
    @Deprecated
    /** Dropped: it stands after the annotation. */
    public void dropped() {}

    // Explains what turning does.
    public void ordinary() {}

    // ------- dividers -------
    public void divider() {}

    /** Attached. */ // and a remark
    /* another */
    public void attached() {}

    /** First, stray. */
    /** Second. */
    public void second() {
        /** In a body. */
        int x = 1;
    }

    int first, /* inline */ third = 3;
    public int a, b = f(1, "x,y"), c[] = {1, 2};
    /** At the end. */
}
