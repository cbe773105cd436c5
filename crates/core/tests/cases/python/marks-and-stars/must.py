def ferment(a, b=1, /, c: "int, or so" = (1, 2), *args: int, d, e={"x": [1, 2]}, **options):
    """Ferment it.

    Args:
        a: one
        b (int, optional): two
        c (int): three
        *args: more
        d: four
        e: five
        rate: a key of the options
    """


def bare(x, *, y):
    """Do it.

    Parameters
    ----------
    x, y : int
        Both.
    """


def stars(*args, **kwargs):
    r"""Do it.

    :param \*args: one
    :param kwargs: two
    """
