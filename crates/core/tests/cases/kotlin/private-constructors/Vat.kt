/**
 * A vat. Of steel.
 *
 * @param lid what lies on it
 */
class Vat private constructor(level: Int, val lid: String, val hoops: Int)

/**
 * A tub. Of wood.
 *
 * @param lid what lies on it
 */
class Tub(level: Int, val lid: String)
