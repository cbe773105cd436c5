#ifndef CRATE_H 
#define CRATE_H 
#ifdef CONFUSE_EMACS
}
#endif

#define CRATE_MOST 
int crate_count(void);

/** Weighs a crate. Its pallet is taken off.
 *
 * @param box what to weigh
 * @return the load
 */
double complex crate_weigh(const struct CRATE_API_LIST *crate);

#endif 
