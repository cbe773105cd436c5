package deliveries

/** Routes. */
object Routes {
    /** Plans. @param a start */
    fun plan(a: String, b: String) {}
    const val MOST = 3
}
class Crate {
    companion object {
        /** Makes. */
        @JvmStatic fun of(tag: String) = Crate()
    }
    companion object Named { fun x() {} }
    inner class Deep { fun go() {} }
    private val listener = object : Listener { override fun on(a: Int) {} }
}
/** Sizes. */
enum class Size(val litres: Int) { 
    /** Small. */ SMALL(1) { override fun x() = 1 }, LARGE(2);
    abstract fun x(): Int
}
fun interface Listener { fun on(a: Int) }
sealed interface State { data object Open : State }
typealias Handler = (Int, String) -> Unit
annotation class Slow(val why: String)
@JvmInline value class Tag(val text: String)
