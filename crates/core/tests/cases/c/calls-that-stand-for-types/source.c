static map_of(name, pump) pumps = NO_PUMPS;
EXTERN map_of(name, tank_t) tanks INIT(= NO_TANKS);
struct cellar { list_of(tank, 2) stack; list_of(pump) idle[1]; int count; };

/// Starts pumps. None may run.
///
/// @param first the first one
/// @param used by their names
/// @param limits from and to
void start(pump *first, map_of(name, pump) *used, array_of(int, 2) limits)
{
}

typedef HANDLE (CALLBACK * starter)(NUMBER);

list_of(pump) all_pumps(int hall) PURE(1);

start_of(PUMP)
stop_of(PUMP)
