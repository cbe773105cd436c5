/**
 * Fills a tank. The valve must be open.
 *
 * @param litres how much
 */
int tank_fill(int tank, double litres);

int tank_empty(int tank);

int tank_drain(int tank);
