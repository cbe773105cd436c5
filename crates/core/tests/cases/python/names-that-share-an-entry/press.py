"""Lines of the press."""


def line(offset):
    """
    Draw the line of a load.

    Parameters
    ----------
    offset, slope : float
        Where it begins, in m, and how it rises.

    Returns
    -------
    list
        Its points.
    """
    return [offset]


def lines(offset):
    """
    Draw the lines of a load. They are printed at once.

    Parameters
    ----------
    slope, offset
        Where they begin, in m, and how they rise.
    """
    print(offset)
