#pragma once

/*!
 * Fills the tank \a number up to \a level. What is in it stays.
 */
void fill(int number, int level, bool slowly);

/*!
 * Drains the tank \a number. What is in it goes.
 *
 * \param level down to which
 */
void drain(int number, int level);

//! Weighs the tank.
/*!
 */
int weigh();
