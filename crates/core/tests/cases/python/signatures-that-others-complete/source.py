"""Crates of the press house."""

from dataclasses import dataclass
from typing import Annotated


def weigh(
    crate: Annotated[int, Doc("The number of the crate.")],
    scale: Annotated[str, Doc("The scale to put it on.")],
    hall: int,
) -> int:
    """Weigh a crate. It stands still meanwhile.

    Returns:
        The net load in kg.
    """
    return scale.load(crate, hall)


@renamed("box", "crate")
def move(crate, place):
    """Move a crate.

    Args:
        crate: The crate.
        box: Its old name.
        place: Where to.
    """


@dataclass
class Scale(Device):
    """A scale.

    Args:
        hall: Where it stands.
        limit: What it bears, in kg.
    """

    kind: str

    def __init__(self, hall, limit, **settings):
        super().__init__(**settings)


@copies_docstring(move)
def carry(crate, place):
    move(crate, place)


def compare(first, second, third, fourth):
    """Compare crates.

    Parameters
    ----------
    first
        The one to compare with.
    fourth, third, second
        The others.
    """


def mark(crate):
    """Mark a crate.

    @param crate: the crate
    @return: L{None}
    """
