#ifndef PLAIN_H
#define PLAIN_H

struct vat {
    int litres;
    int (*vat)(int);
};

int vat(struct vat *vat);

static inline int least(int a, int b)
{
    return a < b ? vat(a) : vat(~b);
}

#endif
