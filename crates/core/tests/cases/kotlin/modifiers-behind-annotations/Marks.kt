package orchard.marks

/** Marks what is weighed. */
@Retention(AnnotationRetention.SOURCE)
annotation class Weighed

/** Marks what is pressed. */
@Target(
    AnnotationTarget.CLASS,
    AnnotationTarget.FUNCTION
)
annotation class Pressed

/** The only press. */
@Weighed
data object Press

/** Kinds of fruit. */
@Weighed
enum class Fruit { APPLE }

/** A scale of the platform. */
@Weighed("twice")
expect class Scale {
    /** Tares it. */
    fun tare()
}

/** A crate. */
@Weighed("once") class Crate private constructor() {
    /** Empties it. */
    @Weighed("never") fun empty() {}
}

/** The end. */
@Weighed
annotation class Last
