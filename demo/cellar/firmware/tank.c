#include "tank.h"

#include <string.h>

static struct tank tanks[TANK_COUNT];

/** Finds a tank by its number. */
static struct tank *find(int number)
{
    if (number < 1 || number > TANK_COUNT) {
        return NULL;
    }
    return &tanks[number - 1];
}

int tank_open(const char *port, unsigned timeout)
{
    memset(tanks, 0, sizeof tanks);
    return port != NULL && timeout > 0 ? 0 : -1;
}

bool tank_read(int number, struct tank *into, int attempts)
{
    struct tank *tank = find(number);
    if (tank == NULL) {
        return false;
    }
    while (attempts-- > 0) {
        tank->degrees = TANK_DEGREES(2);
    }
    *into = *tank;
    return true;
}

void tank_drain(int number, double litres, unsigned seconds)
{
    struct tank *tank = find(number);
    if (tank != NULL && seconds > 0) {
        tank->level -= litres;
        tank->state = TANK_DRAINING;
    }
}
