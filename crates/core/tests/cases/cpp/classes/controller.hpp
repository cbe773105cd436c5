#pragma once
#include <string>

namespace cellar::control {

/**
 * A controller.
 *
 * @tparam T what it reads
 * @tparam Gone nothing
 */
template <typename T, int N = 3, class... Rest>
class CELLAR_API Controller final : public Base<T>, private Hidden {
  CELLAR_OBJECT
 public:
  explicit Controller(int rate = {}) noexcept : rate_(rate), list_{1} {}
  CELLAR_API Controller(const Controller &other) = delete;
  ~Controller();
  Controller &operator=(const Controller &) = default;
  explicit operator bool() const;
  bool operator==(const Controller &other) const;

  /// Reads. Every time.
  /// @param channel which
  /// @throws std::runtime_error when it is off
  virtual T read(int channel, T &&into) const = 0;

  void stop() override;
  template <class U> auto convert(U value) -> decltype(value);
  [[deprecated("x")]] static int count() CELLAR_NOEXCEPT;
  int rate_ = 0; ///< per second
  enum class Mode : int { Slow, Fast = 2 };
  using Value = T;

 protected:
  int level CELLAR_GUARDED_BY(mutex_);
  friend void swap(Controller &a, Controller &b) {}

 private:
  void hide();
};

template <typename T> concept Readable = requires(T t) { t.read(); };

template <typename T, typename std::enable_if<true, int>::type = 0>
CELLAR_NODISCARD T take(const T &value, T * = nullptr);

extern template class Controller<int>;

}  // namespace cellar::control
