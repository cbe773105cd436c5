/**
 * A crate. See [Crate.lift], [Crate.twice], [Crate.make], [Crate.load] and [Crate.loads].
 *
 * What [Crate.lfit] once did is done by [Quay.lowr].
 */
class Crate(val load: Int) {
    /** Lifts it off the quay. */
    fun lift() {}

    /** Tells what it holds. */
    fun loads(): Int = load

    companion object {
        /** Makes an empty one. */
        fun make() = Crate(0)
    }
}

/** Doubles the load. */
fun Crate.twice(): Int = 2 * load
