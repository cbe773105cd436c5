package deliveries

/** Runs. And more. */
fun run(a: Int) = println(a)
/**
 * Reads.
 * @return text
 */
fun read() = "x"
/**
 * Fails.
 * @return nothing
 */
fun fail(): Nothing = throw IllegalStateException("x")
/**
 * Sets.
 * @return unit
 */
fun set(a: Int): Unit {}
fun lambda() = { a: Int -> a }
