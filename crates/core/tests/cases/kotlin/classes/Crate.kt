package deliveries

/**
 * A crate of [owner].
 *
 * @param T what is in it
 * @property weight in kg
 * @param gone nothing
 */
@Serializable
data class Crate<T : Any>(val weight: Int, private var owner: String = "x", vararg tags: String) : Base(), Carries {
    init { require(weight > 0) }

    constructor(weight: Int) : this(weight, "")

    companion object {
        const val LIMIT = 10
        fun of(weight: Int) = Crate<Any>(weight)
    }

    override fun toString(): String = owner

    internal inner class Lid

    val heavy: Boolean get() = weight > LIMIT
}

enum class Size {
    SMALL,
    LARGE { override fun lift() {} };

    open fun lift() {}
}

object Depot

typealias Route<X> = (X) -> Unit

/** Colours of the hall. */
object Hall {
    val wall
        @Painted get() = Colour.WHITE

    /** The floor. */
    val floor: Colour
        @Painted
        get() = Colour.GREY
}

// Is it necessary?
interface Doubted

// Default presses for vats were added in 183.
class Aged

// Keeps what was pressed.
class Cellar

// Guess the cellar can't be closed, seeing as it has no door.
fun leaveOpen() = 1

// Does this cellar have a door?
fun hasDoor() = false
