#include "controller.hpp"

namespace {
int hidden() { return 1; }
}

namespace cellar {

/**
 * Opens. At once.
 *
 * @param name which
 */
int Controller<int>::open(const char *name) {
  if (name == nullptr) throw std::invalid_argument("name");
  try {
    if (!*name) { throw Fault{1}; }
  } catch (const Fault &fault) {
    throw;
  } catch (...) {
  }
  auto later = [] { throw std::logic_error("later"); };
  int x = *name ? 1 : throw std::out_of_range("x");
  return x;
}

static void local_only(int) {}
auto trailing(int a) -> int { return a; }
auto open_type() { return 1; }

}  // namespace cellar
