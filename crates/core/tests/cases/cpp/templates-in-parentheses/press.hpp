#pragma once

namespace press {

/// \brief Presses crates. All of them.
/// \param crates what is pressed
/// \return how many litres came out
template(typename Crates, typename Scale = decltype(scale_of(0)))(
    requires Range<Crates> AND Weighs<Scale>)
double press(Crates &&crates);

/// A bunch of crates.
class Bunch {
 public:
  /// \brief Looks for a crate. In order.
  /// \param first where to begin
  /// \param last where to end
  /// \return where it is
  int find(ListIterator(Crate *) &first, const ListIterator(Crate *) last) const _override;

  /// \brief Notes something. Aloud.
  /// \param form how it is written
  void note(const char *form, ...) _like_printf_(printf, 2, 3);

  /// \brief Calls for each. In order.
  /// \param visit what is called
  void each(void (*visit)(void *crate) MAY_NOT_THROW) MAY_NOT_THROW;
};

/// What is pressed.
using Load OLD_NAME("Say crates.") = Crates;

namespace OLD_NAME("Say press.") pressing {
/// \brief Weighs a crate. Empty.
/// \return its mass
double weigh();
}

}
