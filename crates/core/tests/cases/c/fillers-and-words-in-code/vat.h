/** A vat of cider. It is cold. */
struct vat {
    int level;    /**< how full it is */
    int dummy1;   /**< placeholder */
    int climate;  /**< placeholder */
    void *_pad;   /**< placeholder */
};

/**
 * Fills the vat \c v up to \c level. What runs over is lost.
 */
void vat_fill(struct vat *v, int level);

/**
 * Called for each crate. If the callback returns zero, pressing ends.
 */
typedef int (*press_cb)(void *);
