/** What is known of a load. */
template <typename T> struct load_traits;
template <> struct load_traits<int> {
  typedef int unit;
};
template <> struct load_traits<long> {
  typedef long unit;
};
