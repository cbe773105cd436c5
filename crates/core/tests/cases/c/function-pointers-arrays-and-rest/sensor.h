/**
 * Watches.
 * @param on called on change
 * @param table limits
 * @param n how many
 */
void watch(int (*on)(int level, void *data), const int table[4][2], size_t n, ...);
/** Called on change. @param level litres @return 0 to go on */
typedef int (*level_fn)(int level, void *data);
/**
 * Gives a handler.
 * @param kind which
 * @return the handler
 */
int (*handler_of(int kind))(int level, void *data);
/** Table of handlers. */
extern level_fn handlers[8];
/**
 * Formats.
 * @param fmt how
 * @param ... values
 */
int format(const char *restrict fmt, ...);
