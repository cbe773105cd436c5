/**
 * Reads.
 * @return the level
 */
[[nodiscard]] auto read(int tank) -> std::pair<int, int>;
/** Nothing. @return x */
auto nothing() -> void;
[[deprecated("old")]] constexpr int old(int a) noexcept(noexcept(a));
[[noreturn]] void die(const char *why);
struct [[nodiscard]] Result { int code; };
inline constexpr auto add = [](int a, int b) { return a + b; };
decltype(auto) any(auto x, auto &&...rest);
/** Pure. */
struct Base { virtual int go(int a) const volatile && noexcept = 0; virtual ~Base() = default; };
consteval int c(int n) { return n; }
