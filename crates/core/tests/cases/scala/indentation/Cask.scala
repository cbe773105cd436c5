package blending

enum Size:
  case Small, Large
  case Other(litres: Int)

/** A cask. */
class Cask:
  /** Fills it. */
  def fill(litres: Int): Int =
    litres
  end fill

extension (s: String)
  def bottled(count: Int): Int = count

given ordering: Ordering[Cask] with
  def compare(a: Cask, b: Cask) = 0

def top(using size: Size)(x: Int): Unit = ()
