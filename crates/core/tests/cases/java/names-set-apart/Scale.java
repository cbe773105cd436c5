/** Weighs loads. */
public interface Scale {
    /**
     * Moves {@code litres} litres to {@code vat}. The gauge is reset at minLevel.
     */
    void move(int litres, Vat vat, int minLevel, int times);

    /**
     * Rounds {@code load}. It is never more than <code>most</code>.
     *
     * @param load the load, in kg
     */
    void round(int load, int most);

    /** Adds <i>load</i>. It is counted twice, and crate once. */
    void add(int load, int crate);
}
