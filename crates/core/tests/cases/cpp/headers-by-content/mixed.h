#include <vector>

/// A sensor.
class Sensor {
 public:
  void read();
};
