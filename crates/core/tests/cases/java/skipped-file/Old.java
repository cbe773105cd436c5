// vinequill: skip-file

/** @param nothing is here */
public class Old {
    public void weigh(int load) {}
}
