/* What the valve's interface asks for: the return type and the name are passed to a macro. */
#define VALVE_FUNCTION(returns, name) returns VALVE_EXPORT name

/**
 * Opens a valve.
 * @param number which one
 * @param turns how far
 * @return 0, or what went wrong
 */
VALVE_FUNCTION(valve_error, valve_open)(int number, int turn)
{
    return number + turn;
}

/** Names a valve. @param number which one @return its name */
VALVE_FUNCTION(const char *, valve_name)(int number);

/** What a valve says of itself. */
typedef struct __attribute__((packed)) { /* as it comes over the wire */
    unsigned char number;
    unsigned char turns;
} valve_state;

/** Sorts of valves. */
typedef enum __attribute__((flag_enum)) {
    VALVE_BALL,
    VALVE_GATE
} valve_sort;

/**
 * Lists the valves.
 * @param names what each is called
 */
void valve_list(char *__valve_const *names);
