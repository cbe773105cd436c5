#ifndef TANK_H
#define TANK_H

struct tank {
  const char *_Nullable name; /* its name */
  unsigned char *_Nonnull data;
};

/** Names a tank. */
const char *_Nullable tank_name(const struct tank *_Nonnull tank);

#define tank_flags(a, b) ((a & b) | (a &b))

#endif
