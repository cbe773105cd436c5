class PressCrateTiltedModule : Module() {
  private fun createHydraulicsOfPresses(tub: Tub, options: PressLoadOptions? = null): PressTiltedLoadContext {
    val loader = suspend {
      val weight = untilTheLoadIsOnTheScale123 { weighedBefore ->
        val weightListener = object : WeightListener {
          override fun onFailure(cause: Throwable?) {
          }
        }
        pressYard.backgroundHydraulicScope.async {
          LoadOutputStream(path).use { fileOut ->
            if (options.levels) {
              PressTankOutputStrea().use { byteOut ->
              }
            }
          }
        }.await()
        mapOf(
        )
      }
    }
  }
}
