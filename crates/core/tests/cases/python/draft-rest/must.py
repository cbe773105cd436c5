def f(x: int, y=1):
    """Do it.

    :param x: one
    """
    raise OSError


def g(x: int, y=1): return x
