int lift_press(int);
				/* Lifts the press, and waits. */
int lower_press(int);
				/* Lowers the press, and waits. */

/* Weighs a crate, and gives its load. */
int weigh(int crate);
