/** Fills a vat. The level is read first.
 * @param litres how much
 * @return the new level
 */
int vat_fill(int litres);

int vat_drain(int litres);
int vat_rinse(void);
