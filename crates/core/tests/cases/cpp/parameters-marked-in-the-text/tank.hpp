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

/// Copies n crates from src into a vat. It doesn't weigh what t holds.
void copy(int n, int src, int vat, int b);

/// The inverse of a load.
///
/// It solves \f$ \mathbf{X} \cdot load = 1 \f$.
int inverse(int X, int load, int unit);

/// Sets the weight. Alias for tare(int, int).
int weight(int load, int unit);

/// Indicates if it is full. It is looked at once.
bool full();

/// Splits A = U * S, where U is what is left of a tank.
/// The matrices are not weighed. Apply the given matrix to it first.
void split(int A, int &U, int &S, const Matrix44<T> &m, int level);

/// Compares two tanks.
/// @return true if x1 is as full as x2, with an error of no more than e
bool alike(int x1, int x2, int e, int level);
