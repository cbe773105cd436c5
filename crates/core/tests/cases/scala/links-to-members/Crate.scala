/** A crate. See [[Crate.lift]], [[Crate.load]], [[Crate.make]] and [[Crate.copy]].
  *
  * What [[Crate.lfit]] once did is done by [[Crate.mkae]].
  */
case class Crate(load: Int) {

  /** Lifts it off the quay. */
  def lift(): Unit = ()
}

/** Makes crates. */
object Crate {

  /** Makes an empty one. */
  def make(): Crate = Crate(0)
}
