def f(x, y):
    """Do it.

    :param x: one

    Args:
        y: two
    """


def g(x, y):
    """Do it.

    :param x: one
    :param y: two
    """


def h(x):
    """Do it. Without any entry."""


def i(x):
    """Do it.

    Args:
        x: one

    :rtype: int

    Returns:
        what was done
    """
    return x
