#pragma once

/// Tells whether two presses are alike.
template <class Load, class Crate>
struct is_alike : if_c<(VALUE_OF(int, Load) > VALUE_OF(int, Crate)), Crate> {};

/// A press.
class Press {
    unsigned : NUMBER_OF_BITS;

public:
    press_inline ~Press();
    press_inline explicit Press(const int force);

    /// Tells the least force.
    const Load& min PREVENT_SUBSTITUTION () const;

    /// Presses each.
    ///
    /// @param loads what is pressed
    void operator()(MOVE_OF(Crate)... loads);

    [[nodiscard]] friend inline bool operator==(Press a, Press b) noexcept { return true; }
};

template <class Load>
PRESS_DECL
Vat<Load>::Vat(const Load& load) : load_(load) {}

template <class Load>
Vat(Load&&) -> VAT_OF_LOAD;

template <class Load> PRESS_TYPE_INFO(Vat<Load>, MOVABLE);

pressExternMacro(extern template class PRESS_EXPORT Vat);

using Gate PRESS_OLD = gate;

/// Opens it.
void open(typename Gate::Lid lid = typename Gate::Lid());

/// A press by its kind.
typedef wrap<KIND_OF(Load)::value, Load> press_kind;

template <class Load>
struct bare<Load&const volatile> {};

/// Weighs a crate.
///
/// @param crate which one
float wrapped(weigh)(const int crate);
