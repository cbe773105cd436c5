enum vat_state { VAT_EMPTY, VAT_FULL, VAT_LEAKS };

/**
 * Reads a vat and says how it stands.
 *
 * @param[out] level where the level goes
 * @param[out] litres a value cannot take it
 * @param[in,out] name points to what is constant
 * @param[out] names can be written to
 * @param[out] lid may be anything
 * @retval VAT_EMPTY nothing in it
 * @retval VAT_FULL no room in it
 */
enum vat_state vat_read(int *level, int litres, const char *name, const char **names, vat_lid lid);

/**
 * Tells whether it is full.
 *
 * @retval true when it is
 */
_Bool vat_full(void);

/**
 * Opens it.
 *
 * @retval 0 when it went well
 * @retval -1 when it is stuck
 */
int vat_open(void);
