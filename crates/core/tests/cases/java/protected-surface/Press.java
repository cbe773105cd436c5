/** A press. */
public abstract class Press {
    protected abstract void turn(int a);
    void inner() {}
    private int load;
    protected static class Handle { public void turn() {} private void stop() {} }
}
