package deliveries

open class Base { open fun go(a: Int) {} }
class Sub : Base() {
    override fun go(a: Int) {}
    internal fun near() {}
    protected open fun below() {}
    private fun hidden() {}
    override fun toString() = "x"
    override val size: Int get() = 1
}
internal class Near { fun x() {} }
