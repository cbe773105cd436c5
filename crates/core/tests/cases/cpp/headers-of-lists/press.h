#ifndef PRESS_H
#define PRESS_H
#include "Scale.h"

/** The crates of a press. */
typedef crate_list<Crate> PressCrates;

struct Press {
  crate_list<double> loads;
};

#endif
