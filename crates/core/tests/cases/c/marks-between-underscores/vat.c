#include "vat.h"

_used_ _section_(".vats") static const char mark[] = "vat";

/**
 * Makes room for vats. They stand side by side.
 * @param count how many
 * @param size of each, in litres
 * @return the first of them
 */
_malloc_ _alloc_(1, 2) static inline void *vats_make(size_t count, size_t size) {
    return calloc(count, size);
}

/**
 * Counts what is in a vat. Foam is set aside.
 * @return litres
 */
__attribute_pure__
__attribute_nonnull__()
static inline long vat_level(const struct vat *vat);

/**
 * Draws from a vat. The tap stays open.
 * @param vat to draw from
 * @param upto the most that is drawn
 * @param into where it goes
 * @return what was drawn
 */
int vat_draw(_In_ struct vat *vat, __in_ecount (upto) const char *into, _Inout_opt_ long *upto);

/**
 * Names a vat. The name is not kept.
 * @param vat to name
 * @param name the new name
 * @param long no such
 * @return the name before
 */
char *
vat_name (vat, name)
     struct vat *vat;
     char *name;
{
    return 0;
}

/* A type may be called so: it is none of them. */
_list_ *first;
