// Macros that stand for whole declarations, with words of prose among their arguments.
#pragma once

namespace sallow {

VAT_DECLARE_UNARY(net, net_op, net load, \sa gross)
VAT_DECLARE_UNARY(gross, gross_op, gross load, \sa net)

static declare_const_load(ZERO, 0);

typedef __vector float load4;
typedef wrapped<__vector unsigned short, 0> load8;

/// Holds brewed cider. One of several that stand in the cellar.
template <typename Load, int kept>
struct Vat {
    typedef typename conditional<kept >= 4, Load, load4>::type kept_type;

    VAT_FUNCTION(LoadValue, pow, power to \c p, const Load& p)

  protected:
    /// Reads loads from where they lie packed. The two are told apart by type.
    /// @param from where they lie
    inline void read(const UNPACKED(Load)* from, Load& upto);
};

}  // namespace sallow
