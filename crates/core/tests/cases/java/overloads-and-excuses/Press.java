/** A press. */
public class Press {
    /** Weighs. */
    public void weigh(int a) {}
    public void weigh(int a, int b) {}
    public void weigh(String a) {}
    public Press() { super(); }
    public static void main(String[] args) {}
    @Test public void testWeigh() {}
    private static final long serialVersionUID = 1L;
}
