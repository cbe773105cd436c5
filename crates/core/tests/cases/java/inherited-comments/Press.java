/** A press. */
public class Press implements Runnable, Comparable<Press> {
    /** {@inheritDoc} */
    public int weigh(int a) throws Exception { return 1; }
    /**
     * More on it.
     * {@inheritDoc}
     * @param b wrong
     */
    public void more(int a) {}
    @Override public String toString() { return ""; }
    public void run() {}
    public int compareTo(Press other) { return 0; }
    public boolean equals(Object o) { return true; }
}

class Base { void turn(int a) {} }
class Derived extends Base {
    void turn(int b) {}
    void turn(String b) {}
}
