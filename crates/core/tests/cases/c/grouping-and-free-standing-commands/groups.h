/** @file
 *  Tanks and levels.
 */
/** @defgroup tanks Tanks
 *  @{ */
/** Opens. */
int open_tank(void);
/** @} */
/**
 * @fn void far_away(int n)
 * Far.
 * @param n which
 */
/** @var int level
 * The level. */
/** @name Other
 * @{ */
int other(void);
/** @} */
/**
 * @struct tank
 * A tank.
 */
struct tank;

//===------------------------------------------------------===//
///
/// \file
/// What a cellar knows of its vats.
///
//===------------------------------------------------------===//

#define CELLAR_VATS 12
