int valve_open(const char *name, int *level, ...);

#define VALVE_MIN(a, b) ((a) < (b) ? (a) : (b))
