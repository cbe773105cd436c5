/// A barn. Big.
/// @tparam T what lies in it
/// @tparam N how many
template <typename T, std::size_t N = 3>
class Barn {
 public:
  /// Makes one. Empty.
  /// @param width how wide
  /// @throws std::invalid_argument if it is negative
  explicit constexpr Barn(int width = 0) noexcept(false) : width_{width} { if (width < 0) throw std::invalid_argument("negative"); }
  /// Weighs. Slowly.
  /// @tparam F how
  /// @tparam Cs which
  /// @param by how
  /// @param crates what
  /// @return their mass
  template <typename F, typename... Cs> requires std::invocable<F, T>
  [[nodiscard]] auto weigh(F &&by, const Cs &...crates) const & -> decltype(by(crates...)) { return by(crates...); }
  /// Compares. Surely.
  /// @param other another
  /// @return how
  auto operator<=>(const Barn &other) const = default;
  /// Converts. Surely.
  operator bool() const;
 private:
  int width_;
};

/**
 * Makes a barn of what is read. At once.
 * @param node what is read
 * @param deprecated whether older ones are read as well
 * @return the barn
 */
Barn<int> read_barn(const char *node, bool deprecated);

/**
 * Reads a list as it is written. Lines may be broken.
 *
 * @code
 * <crates>
 *     <param name="one" value="1">
 * </crates>
 * @endcode
 *
 * The tag is written \<FONT SIZE=+2\>, and closed by \</FONT\>.
 *
 * @param text what is written
 * @throw nothing
 */
void read_list(const char *text) noexcept;

/*!
    \internal

    Is called by the others. It need not be told of.
*/
int help(int depth, int width);

/** Ways to close it. */
enum class [[nodiscard]] Closing : int {
    /** At once. */
    now,
    /** When it is dark. */
    later [[deprecated("gone")]] = 2
};

/** Ways to open it. */
enum [[deprecated("gone")]] Opening { opening_now };
