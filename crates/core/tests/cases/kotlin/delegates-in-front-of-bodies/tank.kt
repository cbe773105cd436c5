package sallow.ridge

/** A tank that keeps what is asked of another. */
class WatchedTank(
  private val tank: Tank,
  private val names: List<String>
) : Tank by tank {
  override val levels =
    LevelIterator(tank.levels) {
      !names.contains(it.name)
    }

  /**
   * Fills it.
   * @param litres how much
   */
  fun fill(litres: Int): Boolean =
    Filler(litres) {
      !names.contains(it)
    }.run()
}

/** Two in one. */
class Pair<T>(first: (T) -> Unit = {}) : Shelf<T>, Tank by made(first, { 2 }) {
  /** Empties both. */
  fun empty() = 1
}

/** The only press. */
object Press : Scale by scales.first {
  /** Presses. */
  fun press() = 1
}

/** What is worked out once. */
val load: Load by lazy {
  weigh()
}

/** One press of several. */
internal class PooledPress
// Presses are taken from the pool, so nobody makes one.
private constructor() : Press {
  /** Gives it back. */
  fun recycle() {}
}
