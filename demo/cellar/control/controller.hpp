#pragma once

#include <stdexcept>
#include <string>
#include <vector>

#include "tank.h"

/** Keeps the tanks at their temperature. */
namespace cellar {

/** A temperature that cannot be kept. */
class OutOfReach : public std::runtime_error {
 public:
  using std::runtime_error::runtime_error;
};

/**
 * Cools tanks by a plan.
 *
 * @tparam Clock tells the time
 * @tparam Pump was once the second one
 */
template <typename Clock>
class Controller {
 public:
  /**
   * Takes over the board. It is given back at the end.
   *
   * @param clock tells the time
   */
  explicit Controller(Clock clock) : clock_(clock) {}

  ~Controller();

  /**
   * Sets what a tank is kept at. Takes effect at once.
   *
   * @param number which tank
   * @param degrees in degrees Celsius
   */
  void keep(int number, double degrees) {
    if (degrees < -2) {
      throw OutOfReach("it would freeze");
    }
    targets_.push_back(degrees);
  }

  /**
   * Tells how long cooling takes. An estimate.
   *
   * @param number which tank
   * @return seconds until the target is reached
   * @throws std::out_of_range if there is no such tank
   */
  int estimate(int number) const {
    if (number < 1) {
      throw std::out_of_range("number");
    }
    return static_cast<int>(targets_.size()) * 60;
  }

  /** Stops cooling. */
  virtual void stop() noexcept;

  // Says what the controller is doing, for the display.
  std::string describe() const;

 private:
  Clock clock_;
  std::vector<double> targets_;
};

}  // namespace cellar
