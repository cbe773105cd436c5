// Operators that are templates, made for one type or befriended for one.

template <>
void PressSaver::operator()<Crate> (Crate const& crate) const
{
    save(crate);
}

/** Writes crates. */
template <typename Load>
class Writer {
    friend std::ostream& operator<<<Load>(std::ostream& stream, const Writer<Load>& writer);

public:
    /**
     * Weighs a crate.
     *
     * @param load the crate
     * @return its load in kg
     */
    int weigh(Load const& load);
};
