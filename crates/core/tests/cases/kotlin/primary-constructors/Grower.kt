package deliveries

/**
 * A grower.
 *
 * @param name shown
 * @property slope where it grows
 * @param nope no such
 * @constructor Makes one from the book.
 */
class Grower(name: String, val slope: Map<String, List<Int>>, private var debt: Int = max(1, 2), vararg crates: Crate)

/** A pair. */
data class Pair2<A, out B>(val a: A, val b: B)

/** Made by hand. */
class Route private constructor(val stops: List<String>) {
    /** From text. @param text all */
    constructor(text: String, mark: Char) : this(text.split(mark))
    init { require(stops.isNotEmpty()) { "none" } }
}
