#include "vat.hpp"

namespace press {

/**
 * Makes a vat. It is empty.
 * @param size in litres
 */
PRESS_INLINE Vat::Vat(int size) : size_{size} {}

PRESS_API PRESS_FUNC Vat::~Vat() noexcept = default;

/// Listens.
class Listener {
public:
    /**
     * Runs when a vat is full. It may come twice.
     * @return whether it was heard
     */
    virtual bool run(const int /*level*/ = -1, std::vector<Vat> *const /*vats*/ = nullptr, Vat * /*vat*/ = nullptr);

    /**
     * Draws from a vat. The tap stays open.
     * @param vat to draw from
     * @param upto the most that is drawn
     */
    void draw(_In_ press::detail::Vat *vat, _In_opt_ int upto);
};

} // namespace press

/// Converts out of its class.
PRESS_API constexpr Vat::operator bool() const { return size_ > 0; }

/// Converts as well.
PRESS_SINCE(1, 2) inline Vat::operator int() const { return size_; }

/// A class whose name is qualified.
struct PRESS_API Vat::Lid : Closing {
    /// Makes a lid.
    PRESS_API explicit Lid(int width, const Vat &vat = north())
        : width_(width)
    {
        using std::abs;
    }
};

PRESS_SINCE(1, 2) extern "C" { int vat_of_c(int number); }
