/// Weighs crates.
class Scale {
public:
    // Sets the load to a number of kg.
    void set(int load);
    void set(long load);
    void set(double load);

    void tip();
    void tip(int times);
};
