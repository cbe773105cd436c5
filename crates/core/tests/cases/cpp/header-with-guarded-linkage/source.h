#ifndef GAUGE_H
#define GAUGE_H

#include <random>

#ifdef __cplusplus
extern "C" {
#endif

/** Where the noise of a gauge comes from. */
std::mt19937 noise(std::mt19937::default_seed);

/**
 * Begins anew.
 *
 * @param sede where to begin
 */
void seed_noise(unsigned seed);

#ifdef __cplusplus
}
#endif
#endif
