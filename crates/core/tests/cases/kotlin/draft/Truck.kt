class Truck<T>(val load: T, speed: Int) {
    fun drive(to: String, fast: Boolean = false): Int {
        if (to == "") throw IllegalArgumentException("to")
        return 1
    }
}
