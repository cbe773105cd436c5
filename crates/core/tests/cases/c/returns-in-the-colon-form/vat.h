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
