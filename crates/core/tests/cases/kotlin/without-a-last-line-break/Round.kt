@Given(Crate::class, Scale::class)
@With(Yard::class)
class WeighingRound {
  @Stage
  fun weighs() = inYard { yard ->
    try {
    } finally {
    }
  }
  private class Fixture {
  }
}