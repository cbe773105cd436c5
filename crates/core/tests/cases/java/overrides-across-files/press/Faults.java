package press;

/** A fault of a scale. */
class ScaleFault extends BaseFault {}

/** A fault of anything. */
class BaseFault extends RuntimeException {}
