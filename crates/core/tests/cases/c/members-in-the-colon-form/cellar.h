/** A cellar. */
struct cellar {
	/**
	 * @climate:
	 *
	 * Supported values:
	 *
	 * CELLAR_COLD:
	 *
	 * Keep it cold.
	 */
	int climate;

	/**
	 * @timeout: [in]
	 *
	 * When pressing ends at the latest.
	 */
	long timeout_ms;

	/** @id: the number of the cellar */
	int id;

	/**
	 * @vats: The vats.
	 * @vats.row: where it stands
	 * @vats.level: how full it is
	 */
	struct {
		int row, level;
	} vats[3];

	/**
	 * @crate: The crate.
	 */
	union {
		struct crate crate;
	};
};

/**
 * Weighs a crate.
 *
 * @load: its load
 * @tare: not there
 */
int weigh(int load);

/** What a press may be told. */
enum press_order {
    /**
     * @desc: Tips it
     * @message: Tipping it needs leave
     */
    PRESS_TIP,
};
