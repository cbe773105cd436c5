CELLAR_NAMESPACE_BEGIN
/** A tank. */
class CELLAR_API Tank final : public Base<int>, private Other {
    CELLAR_OBJECT(Tank)
    Q_DISABLE(Tank)
public:
    /** Fills. @param l litres */
    CELLAR_EXPORT int fill(int l CELLAR_UNUSED) const CELLAR_NOEXCEPT;
    CELLAR_PROPERTY(int level READ level WRITE setLevel)
    /** Level. */
    int level() const CELLAR_OVERRIDE { return 1; }
signals:
    void filled(int l);
private slots:
    void onFilled(int l);
};
CELLAR_DECLARE(Tank, int)
/** After. */
CELLAR_INLINE CELLAR_CONST void after(int a);
CELLAR_NAMESPACE_END
