/** @file Presses of the cooperative. */

#define PRESS_IS_FULL(press) ((press)->load > 90)

typedef struct _CellarPress CellarPress;

struct _CellarPress {
    int load;
};

int press_load(CellarPress *press);
int press_tare(CellarPress *press);
