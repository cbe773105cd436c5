/** A gate that can be held. */
class Gate(private val dynamic: Latch) {
    /**
     * Holds the gate.
     *
     * @param held whether it is held
     * @param box what stands in it
     */
    fun suspend(held: Boolean, crate: Crate) {
        val dynamic = crate.latch()
        check(dynamic, held)
        if (held) throw Overload(dynamic)
    }

    /** Opens it. */
    suspend fun open(): Latch = dynamic
}
