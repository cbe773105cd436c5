/**
 * A barn. Big.
 * @param T what lies in it
 * @property width how wide
 * @param name its name
 * @constructor Makes one.
 */
class Barn<T : Any>(val width: Int, name: String = "") {
    /**
     * Weighs. Slowly.
     * @param crates what
     * @param by how
     * @return their mass
     * @throws IllegalArgumentException if there is none
     */
    @Throws(IllegalArgumentException::class)
    inline fun <reified K> weigh(vararg crates: T, crossinline by: (T) -> Int): Int {
        require(crates.isNotEmpty()) { "none" }
        return crates.sumOf { by(it) }
    }
    /**
     * Adds. Both.
     * @receiver one
     * @param other another
     * @return both
     */
    operator fun Barn<T>.plus(other: Barn<T>): Barn<T> = this
    /** Waits. Long. */
    suspend fun waitLong() { }
}
/**
 * Weighs a crate. Slowly.
 * @param in what it holds
 * @param `when` at what hour
 * @return its mass
 */
fun weigh(`in`: Int, `when`: Int): Int = `in` + `when`
