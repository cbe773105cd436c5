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


class Label:
    """What is stuck on a crate.

    Args:
        text (str, optional): what it says
        crate (str, optional): the tag of the crate
        size (int, optional): in mm
    """

    @overload
    def __init__(self, text: str) -> None: ...
    @overload
    def __init__(self, crate: str) -> None: ...

    def __init__(self, text: str | None = None, crate: str | None = None) -> None:
        self.text = text or crate


class Press:
    """Presses crates.

    Parameters
    ----------
    force : int
        In kN.
    weight : int
        Deprecated for `force`.
    """

    @renamed("weight", "force")
    def __init__(self, force: int) -> None:
        self.force = force


def extremes(loads: list[int]) -> tuple[float, float]:
    """Tell the extremes.

    Parameters
    ----------
    loads
        In kg.

    Returns
    -------
    least, most : float
        In kg.
    """
    return min(loads), max(loads)


class Sealed:
    """A vat that was sealed."""

    def take(self, amount):
        """Take from the vat.

        Args:
            amount: in litres

        Returns:
            What was taken.
        """
        del amount
        raise NotImplementedError

    def fill(self, amount):
        """Not supported by sealed vats.

        Raises:
            OSError: always
        """
        raise OSError("sealed")
