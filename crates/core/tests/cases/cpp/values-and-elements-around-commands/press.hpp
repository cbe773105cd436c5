/**
 * A press with its settings.
 *
 * <dl>
 * <dt>load</dt>
 * <dd>What may lie on it.
 * \sa Scale
 * </dd>
 * </dl>
 */
class Press {
public:
  /**
   * Compares two crates and returns \c TRUE if they weigh the same.
   *
   * The comparison is done in kilograms.
   * @param crate the other
   */
  bool equals(int crate) const;

  /**
   * Tips a crate and never looks back.
   *
   * <b>All of it is lost.
   * @param crate the crate
   */
  bool tip(int crate);
};
