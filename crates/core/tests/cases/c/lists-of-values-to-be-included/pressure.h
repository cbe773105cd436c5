/* Pressures by depth, included where a table is made of them. */
0x00, 0x01 /* at the top */, 0x02,
-1, 0.5f, +3,
"low", "high",
&weigh_first, LOAD_NONE,
[LOAD_FULL] = 3, .tank = 4,
SORT(must, 1, "must"),
/** Weighs a tank. @param tank which one */
void weigh(int tank);
