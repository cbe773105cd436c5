/// A sensor.
struct Sensor {
  template <typename T> int read(T channel, int &value);

  /**
   * @brief Writes.
   * @param value what
   */
  bool write(int value, int channel);
};
