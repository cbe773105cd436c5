int Cellar_SetLevel(int tank, int level);
int cellar_tank_get_level(int tank);
void cellar_tank_empty_rest(int tank);
void cellar_close(void);
int cellar_level(int tank);
void tare(int tank);

CELLAR_BEGIN_DECLS
struct tank *cellar_tank_new(void);
CELLAR_EXPORT
struct tank *cellar_tank_new_with_level(int level);
int cellar_tank_is_full(int tank);

CELLAR_DECLARE_TYPE(Tank, tank)

typedef enum tank_kind { OAK, STEEL } tank_kind;

/** Weighs one tank. */
CELLAR_BEGIN_IGNORE
void weigh_one(int tank);
CELLAR_END_DECLS
