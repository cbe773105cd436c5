/**
 * tank_open() - open a tank
 * @n: which tank
 * @flags: how,
 *	over two lines
 *
 * Longer text.
 *
 * Return: 0, or a negative error.
 */
int tank_open(int n, int flags, void *priv)
{
	return 0;
}

/**
 * struct tank - a tank
 * @level: litres
 * @lock: guards it
 */
struct tank {
	int level;
	int lock;
};

/**
 * tank_shut - shut a tank
 * @m: no such
 */
void tank_shut(int n) {}
