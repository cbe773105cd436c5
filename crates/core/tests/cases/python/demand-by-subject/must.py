def f(x, y):
    """Do it."""
    raise ValueError
    return 1
