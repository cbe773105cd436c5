def fine(a):
    """Do it.

    Args:
        b: wrong
    """

def broken(:
    pass

def after(a):
    """Do it.

    Args:
        a: one
    """
