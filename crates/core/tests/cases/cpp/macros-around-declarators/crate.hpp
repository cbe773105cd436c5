#pragma once
namespace press {

/// A crate of fruit.
template <typename T>
class Crate : public Box<T> {
public:
    using typename Box<T>::Load;
    using typename Box<T>::Lid;

    /// Its load in kg.
    __device__ __fast operator float() const { return load; }

    /// Compares by load.
    ///
    /// @param other the other
    bool NOTHROW(operator<(const Crate &other) const)
    {
        return load < other.load;
    }

    friend bool operator< <>(const Crate<T> &a, const Crate<T> &b);
    friend Stream &operator>><>(Stream &stream, Crate<T> &crate);

    /// Counts. The lid counts as well.
    ///
    /// @param lids how many
    int NOTHROW(count(int lid) const);

private:
    float load;
};

bool
NOTHROW(operator==(const Lid &a, const Lid &b));

}

class Handler {
    /** Decides how to go on. It is asked once.
     *
     *  @param error what went wrong
     *  @return whether to go on
     */
    GONE_EX(virtual bool handle(Fault &fault)) = 0;

public:
    NOTHROW(Handler()) {}
    virtual ~Handler();
    int bits ALIGNED(aligned(8));
};

GONE(int weigh_all(VALUE (*each)(VALUE), VALUE crates));
VALUE weigh_each(VALUE (*each)(VALUE), VALUE crates, int (*last)(int));
int ATTRIBUTE(format(printf, 1, 2)) report(const char *form, ...);
int report_more(const char *form, ...) ATTRIBUTE(format(printf, 1, 2));

struct Bytes {
    unsigned NOTHROW(operator*() const) PURE_FUNCTION;
    int (*next)(int) NOTHROW_PTR;
};

static const Colour RED_OF_CRATES(Colour(0.6f, 0.6f));
