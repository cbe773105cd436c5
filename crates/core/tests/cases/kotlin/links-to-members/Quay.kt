/** A quay. It asks [Crate.lift], [crate.lfit] and `[Crate.lfit]`. */
class Quay {
    /** Lowers what hangs on the crane. */
    fun lower() {}
}
