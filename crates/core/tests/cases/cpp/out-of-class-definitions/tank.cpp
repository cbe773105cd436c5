#include "tank.hpp"
namespace cellar {
Tank::Tank(int n) : n_(n) { if (n < 0) throw std::invalid_argument("n"); }
/** Fills it. @param l litres */
int Tank::fill(int litres) { return litres; }
template <class T> T Hold<T>::get(int at) const { return {}; }
}
int cellar::Tank::drain(int litres) { return litres; }
Tank::operator bool() const { return true; }
bool operator==(const Tank &a, const Tank &b) { return true; }
