/** Eine Presse. */
public class Presse {
	/**
	 * Wiegt.
	 *
	 * @param gröse die Größe
	 */
	public void wiege(
		int größe, // eins
		/* zwei */ int höhe)
	{}
}
