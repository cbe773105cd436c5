/** A level. */
struct level {
    int litres;      /**< what is in it */
    int min, max;    /*!< limits */
    double temp;     ///< in degrees
    char name[16];   //!< shown
    struct {
        int x;       /**< inner */
    } at;
    unsigned full:1, dirty:1;
};
/** States. */
enum state {
    /** Shut. */
    SHUT,
    OPEN = 2,        /**< Open. */
    LAST
};
/** Both. */
typedef union { int i; float f; /**< as float */ } both_t;
int drain(int tank, /**< which tank */
          int litres /**< how much */,
          int other);
