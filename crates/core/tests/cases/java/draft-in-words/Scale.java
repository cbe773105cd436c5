public class CrateScale {
    public CrateScale(String name) {
        if (name.isEmpty()) {
            throw new IllegalArgumentException(name);
        }
    }

    public boolean isEmpty() { return true; }

    public boolean hasTag(String tag) { return tag != null; }

    public double getNetWeight() { return 0; }

    public void setTare(double tare) {
        if (tare < 0)
            throw new IllegalArgumentException("tare");
    }

    public void onPress(int key) { }

    public String parseHTTPHeader(String header) {
        if (header == null || header.length() > 80) {
            throw new IllegalStateException(header);
        }
        return header;
    }

    public int crates() { return 0; }

    public void reopen() { }

    public Object toJson() { return null; }

    public void doWeigh(int crate) { }

    public boolean tryLock() { return true; }

    public void setupScales() { }

    public boolean okToWeigh() { return true; }

    public boolean still() { return true; }

    public boolean cratesIdentical() { return true; }

    public String tokenizeUrl() { return null; }

    public void warnOperator() { }

    public boolean isCrateSymbol() { return true; }

    public boolean isReadyToWeigh() { return true; }

    public void ensureCanWeigh() { }

    public int[] toArray() { return null; }

    public String toUpperCase() { return null; }

    public String toOwned() { return null; }

    public List<Integer> asLoads() { return null; }

    public String asOf(int year) { return null; }
}

class SvgLabel { }

interface Growers { }
