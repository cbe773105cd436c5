/**
 * Holds.
 * @tparam T what
 * @tparam M no such
 */
template <typename T, int N = 3, template <class> class C = List, typename... Rest>
class Hold {
public:
    /**
     * Gets.
     * @tparam U as what
     * @param at where
     * @return it
     */
    template <class U> U get(int at, U &&other) const &;
    /** Puts. */
    template <typename... Args> void put(Args &&...args);
};
/** Picks. @param a one */
template <> int pick<int>(int a);
template <typename T> requires Number<T> T half(T x);
/** Numbers. */
template <typename T> concept Number = requires(T t) { t + 1; };
/** Alias. */
template <class T> using Row = std::map<T, std::vector<std::pair<int, T>>>;
/** A value. */
template <class T> constexpr T zero = T(0);
