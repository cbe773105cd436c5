#define API __attribute__((visibility("default")))
/**
 * Opens.
 * @param n which
 * @return a handle
 */
API handle_t *CALLCONV tank_open(int n) NONNULL(1) DEPRECATED("use other");
/** Shuts. @param h handle */
PUBLIC(void) tank_shut(handle_t *h UNUSED, const char *why __attribute__((unused)));
BEGIN_DECLS
/** Counts. */
extern size_t __stdcall tank_count(void) __attribute__((pure, nonnull(1)));
EXPORT_SYMBOL(tank_count);
DECLARE_LIST(tank_list, struct tank)
/** After all. @param a one */
static inline __always_inline int after(int a) { return a; }
END_DECLS
struct PACKED tank_head { int n; } __attribute__((packed));
