from typing import Protocol, overload


class Weigher(Protocol):
    """Weighs."""

    def weigh(self, load: int) -> int:
        """Weigh it.

        Args:
            load: in kg

        Returns:
            in kg
        """
        ...

    def tare(self):
        """Set zero.

        Returns:
            nobody knows
        """
        raise NotImplementedError


@overload
def weigh(load: int) -> int: ...
@overload
def weigh(load: str) -> str: ...
def weigh(load):
    """Weigh it."""
    return load


class Scale(Weigher):
    """A scale."""

    @override
    def other(self): pass

    def weigh(self, load: int) -> int:
        return 1
