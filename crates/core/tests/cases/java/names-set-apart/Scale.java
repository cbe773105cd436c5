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

    /**
     * Takes the {@link Vat} out. It is emptied by {@link Press#press(Load)}.
     */
    void take(Vat vat, Load load);

    /**
     * Looks a load up. This throws if it was never weighed.
     */
    default int look(String load) {
        if (load == null) {
            throw new IllegalStateException();
        }
        return 0;
    }

    /**
     * Stubs it. See {@link Scale#move(int, Vat, int, int)}. It is needed by old presses.
     */
    int stub(int litres, int load);

    /**
     * Lifts up to {@code count} crates and puts them down at {@code
     * place}. Returns how many were lifted.
     */
    int lift(int count, int place, int row);

    /**
     * Sets the {@link LoadListener} that is called. It is asked once.
     */
    void tell(LoadListener whom, int often);

    /**
     * Looks a load up. Whoever asks for one that was never weighed gets an illegal
     * state exception.
     */
    default void find() {
        throw new IllegalStateException();
    }

    /**
     * Opens the<a href="https://sallow.example/gates">
     * gate</a> of a {@code Scale}.
     */
    void open();
}
