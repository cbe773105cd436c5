/**
 * Sets what is called when a valve opens.
 *
 * @param valve which one
 * @param opened gets the valve
 */
int on_open(VALVE_CTX *valve, int (*opened)(VALVE_CTX *which, VALVE_STATE state), void *data);

/**
 * Returns what is called when a valve closes.
 *
 * @param valve which one
 */
int (*on_close(const VALVE_CTX *valve))(VALVE_CTX *which, int state);

struct Valve {
    unsigned int fill : VALVE_BITS;
};

typedef struct {
    int number;
} VALVE_INFORMATION, *PVALVE_INFORMATION;

/**
 * Gives a script the state of a valve.
 *
 * @tparam table valve which one
 * @treturn number its state
 */
int script_state(void *script);
