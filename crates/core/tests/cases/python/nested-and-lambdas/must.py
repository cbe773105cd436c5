def outer(a):
    """Do it."""

    def inner(b):
        """Do the inner thing.

        Args:
            c: wrong
        """
        raise ValueError(b)

    return lambda x: x


double = lambda load, *more: load * 2
