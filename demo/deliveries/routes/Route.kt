package ridge.sallow.deliveries

import java.io.IOException

/**
 * A round of a van.
 *
 * @param T what is delivered
 * @param van its number plate
 * @property stops in the order in which they are driven
 */
class Route<T>(val van: String, val stops: List<Stop>) {

    private val loaded = mutableListOf<T>()

    /**
     * Loads something.
     *
     * @param item what is loaded
     * @param weight in kilograms
     * @return whether it still fitted
     */
    fun load(item: T, kilograms: Double): Boolean {
        require(kilograms > 0) { "nothing to load" }
        return loaded.add(item)
    }

    /**
     * Drives to a stop. The [stop] must be on the round.
     *
     * @throws IllegalArgumentException if it is not
     */
    fun drive(stop: Stop): Int {
        if (stop !in stops) throw IllegalArgumentException("not on the round")
        return stops.indexOf(stop)
    }

    /** Comes back. */
    @Throws(IOException::class)
    fun comeBack() {
        loaded.clear()
    }

    fun empty() = loaded.isEmpty()

    companion object {
        /** How many crates a van takes. */
        const val CAPACITY = 120
    }
}

/** Where a van stops. */
data class Stop(val street: String, val crates: Int)

/** The outcome. */
enum class Outcome {
    DELIVERED,
    NOBODY_HOME,
}

/**
 * Adds up the crates of a round.
 *
 * @receiver the stops
 * @return how many crates
 */
fun List<Stop>.crates(): Int = sumOf { it.crates }
