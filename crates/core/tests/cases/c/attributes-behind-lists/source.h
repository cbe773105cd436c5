typedef CALLBACK_OF(void, *scale_done, (int, int));

/**
 * Names the device.
 *
 * @param number its number
 * @return its name
 */
extern char *name_of(dev_t number)
        __own_attribute__((warn_unused_result));

/**
 * Finds the whole device.
 *
 * @param number its number
 * @param name where its name goes
 */
extern void whole_of(dev_t number, char *name,
                     unsigned long length)
        __own_attribute__((nonnull(2)));

#if defined(__cplusplus)
/**
 * Prints a device.
 */
extern void print_device(FILE *, long = 0);
#endif

/** Fills a crate. */
YARD_API(crate_status) fill(struct crate *crate,
		const crate_filler *filler)
		no_throw warn_unused;

/** Empties all. */
extern int empty_all(void) no_throw warn_unused;

int old_style(first, second)
  crate_number first;
{
  return 0;
}
