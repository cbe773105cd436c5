"""Crates, described below what they take."""


def weigh(crate, unit="kg"):
    """
    Args:
        crate (Crate): What to weigh.
        unit (str): What to count in.

    Weighs a crate. Its pallet is taken off.
    """
    return crate.load * unit


def count(crate):
    """
    Args:
        crate (Crate): What to count.

    >>> count(crate)
    3
    """
    return crate.pieces


def open_all(crates):
    """Open crates. All of them.

    Args:
        crates (list): What to open.

    Returns:

    Where the day allows it, two lists of:
        1. What was opened.
        2. What was not.
    """
    return crates, []


def close_all(crates):
    """Close crates. All of them.

    Args:
        crates (list): What to close.

    Returns:

    Raises:
        ValueError: If one is missing.
    """
    if None in crates:
        raise ValueError
    return crates


def stow(*crates, **options):
    """Stow crates. Where there is room.

    Parameters
    ----------
    first, second : Crate
        What to stow.
    gap : int, optional
        What to leave between.

    Returns
    -------
    bool
        Whether there was room.
    """
    return bool(crates) and bool(options)


def is_empty(crate):
    """Tell whether a crate is empty.

    Parameters
    ----------
    crate : object
        What to look into.

    >>> is_empty(crate)
    True

    >>> is_empty(other)
    False
    """
    return not crate.load
