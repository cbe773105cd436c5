/** The press, as scripts see it. */
class Press {
    /**
     * Weighs a crate.
     *
     * @param crate its tag
     * @param promise settled with what it weighs
     * @returns a promise of the net load in kg
     */
    fun weigh(crate: Int, promise: Promise?) {
        promise?.resolve(crate)
    }

    /**
     * Tips a crate.
     *
     * @param crate its tag
     * @return what was in it
     */
    fun tip(crate: Int) {
        empty(crate)
    }
}
