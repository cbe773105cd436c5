"""Weighs crates."""


def mass(crate: int) -> int:
    """Weigh a crate.

    Args:
        crate: What stands on the scale.

    Returns:
        Its mass in kg.

    Since:
        2.1
    """
    return crate


def level(scale: int) -> int:
    return scale


def tip(scale: int) -> None:
    """Tip a scale.

    Args:
        scale: The one to tip.
    """


def zero(scale: int) -> int:
    """Set a scale to nothing.

    Args:
        scale: The one to set.

    Returns:
        What it showed.

    Since: 2.1
    Author:
        The yard.
    """
    return scale


def hang(scale: int) -> int:
    """Hang a scale.

    Parameters
    ----------
    scale : int
        The one to hang.

    Returns
    -------
    int
        Its height in m.

    Since
    -----
    2.1
    """
    return scale
