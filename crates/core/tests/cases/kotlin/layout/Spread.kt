package deliveries

/**
 * Wägt.
 * @param größe in kg
 */
@Suppress("a, (b")
fun <T : Comparable<in Map<String, List<T>>>>
	wäge(
		größe: Double, // in kg, (ja)
		/* zwei */ b: (Int, String) -> Map<Int, (T) -> Unit> = { _, s -> mapOf(1 to { _ -> }) },
		@A("x") c: String = "a, ${b(1, "c")}",
	): T where T : Any
{ return größe as T }
/** Broken. */
fun broken(a: Int { }
/** After. */
fun after(a: Int) {}
