#pragma once
/**
 * @brief get joint parameter
 * @ingroup joints
 */
double f1(int id, int parameter);

/**
 * @brief set joint parameter
 */
void f2(int id, int parameter);

/**
 * set joint parameter
 * @ingroup joints
 */
void f3(int id, int parameter);

/**
 * @brief Set joint parameter.
 * @since 2.1
 */
void f4(int id, int parameter);

/**
 * @ingroup joints
 * @brief Set joint parameter.
 */
void f5(int id, int parameter);

/**
 * Sets a joint.
 * @ingroup joints
 */
void f6(int id, int parameter);

/**
 * @brief Sets a joint.
 * @ingroup joints
 *
 * It takes a while.
 */
void f7(int id, int parameter);
