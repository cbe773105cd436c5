"""Works at the press."""
from contextlib import contextmanager
from functools import lru_cache

from ridge import operation


@operation()
def clean(tank):
    """Clean a tank.

    Args:
        tank: which one
    """
    yield f"rinse {tank}"


class Shelf:
    """A shelf."""

    @staticmethod
    def crates(rows):
        """Take the crates row by row.

        Args:
            rows: where they stand
        """
        for row in rows:
            yield row
