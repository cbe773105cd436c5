#pragma once

/// A press with one bin.
class PRESS_EXPORT Press : public Machine {
public:
    static Press *New();
    pressTypeMacro(Press, Machine);

    ///@{
    /**
     * How far the lid opens. Between 0 and 1.
     */
    pressSetClampMacro(Lid, double, 0.0, PRESS_MOST);
    pressGetMacro(Lid, double);
    ///@}

    /**
     * What the bin holds. It is weighed first.
     */
    pressSetMacro(Load, int)
    void Weigh(int crate);

    Press(int bins);
    explicit Press(double bins);

private:
    pressHiddenMacro(Press);
    int Bins;
};

class Gauge {
    template <typename TS, typename TU>
    TS toSigned(TU value);
    BOOL isFull(HANDLE bin);
};

template <typename Fruit>
class Bin<Fruit>::Lid {
public:
    Lid(int width);
    template <typename T> Lid(const Bin<T> &bin, int width);
};

class PRESS_EXPORT Sieve PRESS_FINAL : public Machine {
public:
    Sieve(int width);
};

class PRESS_EXPORT VAT_STATE : public Machine {
public:
    VAT_STATE(int width);
};

struct __packed VAT_HEAD {
    int litres;
};
