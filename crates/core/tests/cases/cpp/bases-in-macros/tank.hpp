#ifndef TANK_HPP 
#define TANK_HPP 
namespace cellar {
/// A tank.
class Tank : HIDDEN_BASE(public Vat<double>) {
public:
    /// Fills the tank. To the brim.
    /// @param amount how much
    /// @param from whence
    void fill(double amount, Vat& vat);
};

extern "C" {
/// Multiplies. Column by column.
/// @param n how many
void CELLAR_FORTRAN(dgemm,DGEMM)(const int*, const double *a);
}
} // namespace cellar
#endif
