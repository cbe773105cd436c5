#pragma once

/**
 * Maps vats.
 * @tparam KEY what a vat is found by
 * @tparam V1 what is found
 * @tparam NONE no such
 */
template <typename KEY, typename V1, class T2 = int>
class Map {};

/**
 * Maps vats by where they stand.
 * @tparam KEY what a vat is found by
 * @tparam V1 what is found
 */
template <typename KEY, typename V1>
struct PRESS_EXPORT Map<KEY *, V1> : Base<KEY> {};

/// Holds vats.
template <template <class> class POLICY, int SIZE>
class Holder {};

/**
 * Made a template by the macro.
 * @tparam Vat what is held
 */
PRESS_TEMPLATE
class Made {};
