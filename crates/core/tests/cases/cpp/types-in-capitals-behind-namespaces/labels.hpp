namespace cellar {

/** Prints labels. */
class Printer {
public:
  /**
   * Makes a printer.
   *
   * @param name of it
   */
  Printer(const char *name, const Printing::DPI &dpi) CELLAR_NOEXCEPT : name_(name), dots_(dpi) {}

  /**
   * Prints a blob.
   *
   * @param blob what
   */
  bool print(const Printing::BLOB &blob, std::size_t copies);

private:
  const char *name_;
  HandleOf(Device) device_;
};

/** Throws when there are none. */
inline Label **all(int count) {
  if (typeid(count) == typeid(bool)) throw std::invalid_argument("count");
  return new Label *[count];
}

} // namespace cellar
