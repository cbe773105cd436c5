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
