/**
 * Return the name of the vat.
 * Find it in the list of the cellar.
 *
 * @cellar: handle of the cellar
 * @id: number of the vat
 *
 * @return: the name, or NULL if @id is invalid.
 */
const char *vat_name(int cellar, int id);

/**
 * Empties a vat. What is left is lost.
 *
 * @id: number of the vat
 * @return: what was in it
 */
void vat_empty(int id);

/**
 * press_find_tag: searches the tags of a press
 * @press: the press to look through
 * @tag: the tag to find
 * returns its place with success or -1 with an error
 */
int press_find_tag(int press, int tag);

/**
 * press_drop_tag: drops a tag of a press, and
 * @press: the press that
 *     returns its tags
 */
int press_drop_tag(int press);

/**
 * vat_cellar:
 *
 * Looks up the cellar of a vat.
 *
 * returns: (nullable): the cellar
 **/
const char *vat_cellar(int id);

/* STEAM not supported by vats of wood */
enum vat_heat { COLD, WARM };

/**
 * crate_lift:
 * @load : what lies in it
 *
 * Lifts the crate
 * Returns : how far it was lifted
 */
int crate_lift(int load);

/* Other crates that are weighed */
struct other_crate { int load; };
