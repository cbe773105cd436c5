#ifndef TANK_H
#define TANK_H

/*!
    \brief Reads the level of a tank.

    \param tank - number of the tank
    \param unit - 0 for cm, 1 for l
    \return the level
*/
int tank_level(int tank, int unit);

/*!
    \brief Opens the valve of a tank.

    \param tank - number of the tank
*/
void tank_open(int tank);

int tank_fill(int tank, int litres);

#endif
