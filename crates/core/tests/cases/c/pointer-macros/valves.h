/** Opens a valve. */
typedef int (VALVE_APIP valve_open_fn) (int number, const char *why);

/** Shuts a valve. */
typedef void (VALVE_API valve_shut_fn)(int number);

/**
 * Counts valves.
 *
 * @param row which row
 * @return how many
 */
int valve_count(int row);
