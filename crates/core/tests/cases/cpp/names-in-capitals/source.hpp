struct TAG {
    /// Makes an empty one.
    TAG() noexcept
        : bytes{}
    {
    }
    explicit TAG(const Bytes &raw) noexcept
        : bytes(raw)
    {
    }
};

template <>
inline const TAG *Crate::get_if<TAG>() const noexcept
{
    return 0;
}

namespace press::house::API {
int weigh();
}

template <class... Ts>
struct Overload : Ts... {
    using Ts::operator()...;
};

struct Flags {
    enum : Bits { all = 1 };
};

struct Tensor {
    DEVICE_FUNC
    STRONG_INLINE const Result<is_nan<Scalar>, const Derived>
    (isnan)() const {
        return unary(1);
    }
};

PRESS::PRESS(const char *name) {
    begin(name);
}

PRESS::PRESS(const char *name, int bins) : PRESS(name) {
    more(bins);
}

int PRESS::SIZE(int bins) {
    return bins;
}

template <typename T>
struct Weighing {
  // A template in capitals is no macro.
  bool weigh(int crate, typename GRID<T>::Point* first, const typename GRID<T>::Point& second);
};

/// \brief Weighs crates. Empty ones.
/// \param AB the crates by number
/// \param CD the scale
/// \param ef how often
/// \param gh the list
/// \return their mass
double weigh(const std::map<int, Crate> &AB, press::Scale CD, unsigned __int64 ef, List<A1, B2>::Item gh);
