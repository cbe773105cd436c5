/// A tank.
template <typename Arg, typename Callback = void()>
class Tank final {
public:
  CELLAR_MEMBERS(Tank)
  CELLAR_OPERATORS(TankImpl)

  CELLAR_INLINE Scalar* data() { return nullptr; }
  template <typename U = Arg, cellar::enable_if_t<cellar::both<cellar::is_same<U&&>, cellar::is_same<U>>::value, int> = 0>
  Tank(U&& v) : Base(std::forward<U>(v)) {}
  CELLAR_INTERFACE(Tank)

  Tank(const Lhs& lhs, const Rhs& rhs) : Base(lhs, rhs == Dynamic ? 0 : 1) {}
  void swap(Tank& that) noexcept(IsQuick<Arg>() && IsQuick<Callback>(typename Arg::type{}));
};
/// Fills.
template <typename Int>
void fill(Int v, int how = cellar::kNone,
          typename std::enable_if<sizeof(Int) == 1 && !std::is_pointer<Int>::value>::type* = nullptr);
struct Image {
  const CellarW(Sym) *symbol;
  const CellarW(Def) *find(CellarW(Word) offset) const;
};
template <typename F, typename C, typename... Args>
struct Accept<F C::*, Args...> : std::integral_constant<bool, is_base<C>::value && is_function<F>::value> {};
template <typename T>
struct IsList : decltype(dispatch(static_cast<T*>(nullptr))) {};
template <typename First, typename Last>
auto seq(First f, Last l) -> decltype(seqN(typename internal::clean<First>::type(f), (l - f + fix<1>())));
static Graph *graph
    CELLAR_GUARDED_BY(mu) CELLAR_PT_GUARDED_BY(mu);
