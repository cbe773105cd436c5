package deliveries

/**
 * Reads.
 * @param path where
 */
@Throws(IOException::class, java.net.BindException::class)
fun read(path: String) {
    require(path.isNotEmpty()) { "empty" }
    check(open) { "shut" }
    if (path == "x") throw ShutException(path)
    error("never")
}
/**
 * Tries.
 * @throws IllegalArgumentException when wrong
 * @throws NopeException never
 */
fun tries(n: Int): Int {
    requireNotNull(n)
    try { throw IOException("x") } catch (e: IOException) { throw e }
    val x = n.takeIf { it > 0 } ?: throw IllegalArgumentException("n")
    return try { x } finally { TODO("later") }
}
class ShutException(why: String) : RuntimeException(why)
