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
