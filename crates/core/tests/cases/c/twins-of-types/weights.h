#if defined(CELLAR_WIDE)
typedef long long weight;
typedef long long moment;
#elif defined(CELLAR_NARROW)
typedef int weight;
typedef int moment; /**< When it was weighed, in seconds. */
#else
typedef long weight;
typedef long moment;
#endif

#ifdef CELLAR_WIDE
/** A vat. */
struct vat {
  long long load;
};
#else
struct vat {
  long load;
};
#endif

struct crate;
struct crate {
  int load;
};
