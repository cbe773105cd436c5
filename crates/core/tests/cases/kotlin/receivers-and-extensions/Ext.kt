package deliveries

/**
 * Weighs.
 * @receiver the crate
 * @param tare what is taken off
 * @return kilograms
 */
fun Crate.weigh(tare: Double): Double = 1.0

/** Sum. */
infix operator fun Crate.plus(other: Crate): Crate = this
/** Total of [list] and [more]. It counts. */
fun total(list: List<Int>, more: (Int, String) -> Unit = { a, b -> }): Int { return 1 }
val Crate.heavy: Boolean get() = true
suspend inline fun <reified T : Any> load(vararg path: String, crossinline each: suspend (T) -> Unit) {}
tailrec fun count(n: Int): Int = if (n == 0) 0 else count(n - 1)
