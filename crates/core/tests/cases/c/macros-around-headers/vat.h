#ifndef VAT_H
#define VAT_H

VAT_BEGIN_DECLS

/**
 * How much a vat holds, in litres.
 */
#define VAT_SIZE 900

/**
 * Tells whether a vat is full. Foam counts.
 * @param vat to look at
 * @param none no such
 * @return whether it is
 */
#define VAT_IS_FULL(vat) ((vat)->level >= VAT_SIZE)

#ifdef VAT_OLD
/** Fills a vat.
 * @param vat to fill
 */
void vat_fill_old(struct vat *vat);
#else
/** Fills a vat.
 * @param vat to fill
 */
void vat_fill(struct vat *vat);
#endif

VAT_END_DECLS

#endif
