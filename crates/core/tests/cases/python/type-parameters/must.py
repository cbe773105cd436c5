def first[T: (int, str), *Ts, **P](items: list[T]) -> T:
    """Find the first. One."""
    return items[0]


class Store[K, V]:
    """Store things."""
