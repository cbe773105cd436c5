package depot

@Suppress("UNUSED_PARAMETER")
@OptIn(Preview::class)
internal object Scales {
  private fun unitOf(): Int {
    return when (val kind = 1) {
      1 -> 2
      else -> 3
    }
  }

  /**
   * Weighs a crate.
   *
   * @param crate what to weigh
   * @param tray what nothing takes
   */
  private fun Shelf?.weigh(crate: String, inKilograms: Boolean): Int? {
    val load = when (kindOf(crate)) {
      1 -> 2
      else -> 3
    }
    return load?.let {
      if (it.length != MOST) {
        throw overloaded(it)
      }
      it
    }
  }
}

@OptIn(Preview::class)
public class Shelf(
    scale: Scale,
    private val crates: MutableList<
        Crate,
    >,
) : Rack(scale, rackOf(scale)) {
  public var load: Int = 0
    @Suppress("UNUSED_PARAMETER") set(value): Unit = Unit

  private fun fill() {
    val builder =
        crates
            as
            Builder<
                *,
                Crate,
            >
    builder.fill()
  }
}

private fun overloaded(path: String): Nothing {
  throw IllegalArgumentException("`$path` bears no more.")
}
