def f(x, y=1):
    """Do it.

    @param x: one
    """
    return 1
