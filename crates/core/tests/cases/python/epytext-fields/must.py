def f(x, y):
    """Do it.

    @param x: one
    @type x: int
    @param q: wrong
    @return: a number
    @raise ValueError: when
    @see: g
    """
    return 1
