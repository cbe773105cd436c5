namespace cellar {
/** A tank. */
class Tank {
public:
    Tank() = default;
    /** Makes. @param n which */
    explicit Tank(int n, std::string name = "a, (b)") : n_(n), name_{std::move(name)} {}
    Tank(const Tank &) = delete;
    Tank &operator=(const Tank &other) noexcept;
    virtual ~Tank() noexcept override;
    /**
     * Adds.
     * @param other more
     * @return the sum
     */
    Tank operator+(const Tank &other) const;
    bool operator()(int at);
    int &operator[](size_t at);
    explicit operator bool() const noexcept;
    operator std::string() const;
    friend std::ostream &operator<<(std::ostream &out, const Tank &tank);
    auto operator<=>(const Tank &) const = default;
    static void *operator new(size_t size);
private:
    int n_;
    std::string name_;
protected:
    void inner(int a);
};
int operator""_l(unsigned long long n);
}
