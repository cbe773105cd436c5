#include "vat.h"

/** Fills a vat. The level is read first.
 * @param vat to fill
 * @param litres_ how much
 * @return the new level
 */
int vat_fill(struct vat *fvat, int litres) { return litres; }

/** Drains a vat. Nothing is left of it.
 * @param vat to drain
 * @param amount how much
 * @data [out] the new level
 * @return the new level
 */
int vat_drain(struct vat *fvat, int data) { return -data; }
