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

/**
 * \brief Weighs whatever it is. It may be anything.
 *
 * \tparam Crate what is weighed
 * \tparam NamedParameters names of settings
 */
template <typename Crate, typename SR_NP_TEMPLATE_PARAMETERS>
void weigh_all(const Crate&);

/**
 * \returns the load of a crate
 *
 * It is read off the scale.
 *
 * \tparam Crate what is weighed
 */
template <typename Crate>
constexpr auto load = [](auto&& crate) { return crate; };

/**
 * \brief A reference to a crate.
 *
 * \tparam CrateType the type of the crate
 */
#ifndef FOR_READERS
template <typename Load, int Options>
class Ref
#else
template <typename CrateType>
class Ref
#endif
{
};

class Reading {
public:
    /** Converts to bool. Is set when there is a load. */
    explicit operator bool() const;
};

/** Packs crates of a type.
 * @tparam Crate the type
 * @tparam Hand what packs it
 */
template <class Crate>
struct Packer {
    template <class Hand>
    static void pack(Hand &hand);
};
