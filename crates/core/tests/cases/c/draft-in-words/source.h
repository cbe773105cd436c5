int Cellar_SetLevel(int tank, int level);
int cellar_tank_get_level(int tank);
void cellar_tank_empty_rest(int tank);
void cellar_close(void);
int cellar_level(int tank);
void tare(int tank);
