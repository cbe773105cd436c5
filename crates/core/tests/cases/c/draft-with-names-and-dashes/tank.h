/**
 * tank_open() - open a tank
 * @tank: the number of the tank
 *
 * Return: 0, or a negative error.
 */
int tank_open(int tank);

int tank_fill(int tank, int litres);

struct tank {
	int level;
};
