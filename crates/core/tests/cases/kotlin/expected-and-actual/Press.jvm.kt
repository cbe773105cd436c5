package cellar

public actual class Press {
    public actual fun run(load: Int): Boolean = load > 0

    public actual fun stop() {}

    public fun here(): Int = 1
}

/**
 * Makes a press.
 *
 * @param weight what it bears
 */
public actual fun pressOf(load: Int): Press = Press()
