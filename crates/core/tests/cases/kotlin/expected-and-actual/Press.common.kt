package cellar

/** A press. */
public expect class Press {
    /** Runs it. */
    public fun run(load: Int): Boolean

    public fun stop()
}

public expect fun pressOf(load: Int): Press
