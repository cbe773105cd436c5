#include <stdbool.h>

/** How a tank stands. */
enum tank_state {
  TANK_EMPTY,
  TANK_FULL
};

/**
 * Opens a tank.
 *
 * @param tank the number of the tank
 * @retval true it was shut
 * @retval false it was open
 */
bool tank_open(int tank);

bool tank_shut(int tank);

enum tank_state tank_look(int tank);

int tank_level(int tank);
