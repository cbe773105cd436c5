/** A cellar. It is cold. */
class Cellar {
public:
    /** Cools it. */
    void cool();

    //! @cond Hidden
    // Only for the press.
    void warm(bool enable);

    /** Tells how warm it is. */
    int warmth() const;
    //! @endcond

    // How many vats it has.
    int vats() const;
};

/** \cond */
class Press {};
/** \endcond */

class Scale {};

/* A condition without an end: \cond */
class Crate {};
