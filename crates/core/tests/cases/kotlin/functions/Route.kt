/**
 * Plans. With [stops].
 *
 * @param limit at most
 * @throws IllegalStateException when closed
 */
@Throws(IOException::class)
fun plan(limit: Int, stops: List<String>): Int {
    try {
        if (limit < 0) throw IllegalArgumentException("limit")
        check(limit > 0)
    } catch (e: IllegalArgumentException) {
        throw e
    }
    error("closed")
}

fun twice(a: Int) = a * 2
fun shown() = println("x")
fun nothing(): Unit {}
fun never(): Nothing = TODO()
suspend fun String.extend(by: (Int) -> Unit = {}, count: Int? = null): String { return this }
infix operator fun Int.plus(other: String): Int = this
private fun hidden() {}
