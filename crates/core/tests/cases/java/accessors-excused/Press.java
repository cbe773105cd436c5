/** A press. */
public class Press {
    private int load;
    public int getLoad() { return load; }
    public void setLoad(int load) { this.load = load; }
    public int getDouble() { return load * 2; }
    @Deprecated public void old() {}
}
