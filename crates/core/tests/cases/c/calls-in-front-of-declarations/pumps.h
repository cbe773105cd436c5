define_slab(pump_seen, unsigned char);
declare_list(pumps, {"first"});

list_proto(, pump_tree_, struct Pump)
DECLARE_PUMP_functions(PUMP, pump)
/**
 * Finds a pump.
 *
 * @param name of the pump
 */
struct Pump *find(const char *name, int floor);

DEFINE_STACK_OF(PUMP)
/** Returns all pumps. */
STACK_OF(PUMP) *all_pumps(int floor);

pump_sequence(first, next) = {
    pump_simple(first),
};

/** Stops one. */
int stop(int number);

#ifdef __cplusplus
struct Pump { Pump() : floor(0) {} int floor; };
#endif
