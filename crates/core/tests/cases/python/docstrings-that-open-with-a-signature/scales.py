"""Scales."""


def weigh(crate, unit="kg"):
    """weigh(crate, unit='kg') -> float

    Weighs a crate.

    Args:
        crate: what to weigh
        unit: what to weigh it in
    """
    return crate.load


def tare(crate):
    """tare(crate) -> None

    Sets the scales back.

    Args:
        crate: what lies on it
    """
    return crate.tare()


def crates(shelf):
    """Generator for the crates of a shelf.

    Args:
        shelf: where they stand
    """
    yield from shelf
