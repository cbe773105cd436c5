public class Press {
    public void weigh() {}
    public int load;
    public enum Grape { A }
}
