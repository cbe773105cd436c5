/* Vats. */
int vat_fill(struct vat *vat, int litres_);

int vat_drain(struct vat *vat, int litres);
