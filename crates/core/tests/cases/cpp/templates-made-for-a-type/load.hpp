/** What a load is measured in. */
template <typename T> struct Unit {};

// Weights are in kg everywhere.
template <> struct Unit<double> {
    static constexpr int digits = 2;
};

template<>
int weigh<int>(int load);

template <typename T>
struct Unit<T *> {};
