#ifndef PRESS_H
#define PRESS_H
#include "Scale.h"

/** Weighs a crate. */
void weigh(Scale& scale, double tare);

#endif
