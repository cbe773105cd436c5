#ifndef VAT_H
#define VAT_H

typedef uint64_t unaligned_litres vat_aligned(1);

struct vat {
    uint64_t litres vat_aligned(8);
    volatile uint64_t seen vat_aligned(8);
} vat_aligned(16);

typedef struct {
    int first;
} vat_alias vat_pair;

typedef union {
    int second;
} __vat_aligned(16) vat_union;

struct {
    __uint(type, VAT_MAP);
    __uint(most, 12);
} vats;

int vat_log(int level, const char *form, ...)
#ifdef __GNUC__
#if __GNUC__ > 4
    vat_cold
#endif
#endif
    vat_format(2, 3);

int vat_send(const char *form, ...) _vat_format_(1, 0) _vat_sentinel_;

/// Reads litres. It stops at the end.
///
/// @param end where it stopped
long vat_read(const char *vat_restrict text, char **vat_restrict ende, int *restrict left);

int add(a, b) int a; struct vat *b; { return a; }

#endif

typedef enum {
    VAT_OPEN,
} VatState VAT_DEPRECATED_TYPE_IN_2_32;

typedef enum {
    VAT_NONE,
} VatFlags VAT_AVAILABLE_ENUMERATOR_IN_2_66;

struct vat_class {
    const VatClass *class;
    gpointer class2;
};

static struct {
    int first;
} const TABLE[] = {{1}};

static union {
    float f;
} __vat_nan __attribute__((__unused__)) = {{0}};

static enum {
    HEADER_OK,
} check_header(unsigned char const *data, int length)
{
    return HEADER_OK;
}
