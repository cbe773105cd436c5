/** A press. */
class Press : public Machine {
  PRIVATE_UNLESS_TESTED:
    /**
     * Weighs a crate.
     *
     * @param laod in kg
     */
    int weigh(int load);

    /** Prints it. */
    inline friend std::ostream& operator<<(std::ostream& os, const Press& press) {
        return os;
    }

    /** What weighs. */
    double (Press::*gauge)(int crate, int load) const;

  public slots:
    /**
     * Opens the valve.
     *
     * @param valve its number
     */
    void open(int valve);

    unsigned : 3;
};

/** Tells of what a function takes. */
template <typename Owner, typename Result, typename... Args>
struct Traits<Result (Owner::*)(Args...) const> {
    /** It is known. */
    static const bool known = true;
};

/** What is read of a press, and where it goes. */
struct Reading {
    /** Where it goes. */
    std::optional<double> Press::*target;
};

/**
 * Reads a press.
 *
 * @param filed where it goes
 */
void read_press(double Press::*field, int crate);
