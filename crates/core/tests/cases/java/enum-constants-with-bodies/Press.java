/** The grapes. */
public enum Grape {
    /** White. */
    RIESLING("r") {
        /** @return x */
        @Override public int sugar() { return 90; }
    },
    PINOT("p") {
        public int sugar() { return 95; }
        void press() {}
    };

    Grape(String code) {}

    /**
     * Tells the sugar.
     *
     * @return in degrees
     */
    public int sugar() { return 0; }
}
