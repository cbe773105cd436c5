#pragma once

namespace press {

/// Weighs a crate.
/// @param[in] crate the number of the crate
/// @param[out] tare its tare in kg
/// @return the load in kg
double weigh(int crate, double *tare);

/// How many crates there are.
int crates();

double press(const Vat &vat, int rounds, double *pressure);

void stop();

}  // namespace press
