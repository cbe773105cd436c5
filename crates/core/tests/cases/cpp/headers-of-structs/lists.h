#ifndef LISTS_H
#define LISTS_H

list<vat>
vats_of(double least);

void count_vats(int &count);

struct VAT_API vat_list {
    vat_list() {
        first = 0;
    }
    int first;
};

#endif
