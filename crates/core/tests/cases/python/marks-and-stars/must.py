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
def weigh(größe, lambda_, *args, **kwargs):
    """Weigh a crate. Slowly.

    :param größe: how large
    :param lambda\_: what it holds
    :param \*args: the rest
    :param \*\*kwargs: by name
    :returns: its mass
    """
    return 1


def lift(lambda_, *args, **kwargs):
    """Lift a crate. Slowly.

    Args:
        lambda_: what it holds
        *args: the rest
        **kwargs: by name

    Returns:
        its mass
    """
    return 1


def drop(lambda_, *args, **kwargs):
    r"""Drop a crate. Slowly.

    Parameters
    ----------
    lambda\_ : int
        what it holds
    \*args
        the rest
    \*\*kwargs : dict
        by name

    Returns
    -------
    int
        its mass
    """
    return 1
