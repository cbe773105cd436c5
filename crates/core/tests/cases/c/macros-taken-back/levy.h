/** Rounds to a penny. */
#define LEVY_ROUND(amount) ((amount) + 0.5)

/* Only for the tables below. */
#define ROW(code, rate) { code, rate }
static const levy_row rows[] = { ROW(1, 20), ROW(2, 5) };
#  undef ROW

/* A longer name says nothing of a shorter one. */
#define CELL(code) (code)
#define CELLS(code) (code), (code)
#undef CELLS
/* The word undef in a text, #undefined or not, takes nothing back. */
