def f(x, y):
    """Do it. Twice, in fact."""
    return 1


def g(x, y):
    """Do it.

    Args:
        x: one
    """
    raise ValueError
    return 1


def h(x, y):
    """Do it.

    Raises:
        KeyError: when
    """
    raise ValueError(x)
