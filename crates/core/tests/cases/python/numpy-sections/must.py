def f(x, y, *args, **kwargs):
    """
    Do it.

    Parameters
    ----------
    x : int, optional
        One.
    y : {'a', 'b'}
    *args, **kwargs
        More.

    Returns
    -------
    a : int
        First.
    b : str
        Second.

    Other Parameters
    ----------------
    depth : int
        A key.

    Raises
    ------
    ValueError
        When.

    See Also
    --------
    g : other

    Custom
    ------
    z : not an entry
    """
    return 1


def g(a1, rest):
    """Do it.

    Parameters
    ----------
    a1, a2, ... : int
        Numbers.
    rest: str
        More.

    Returns
    -------
    TODO
    """
    return 1


def h(x):
    """Do it.

    Paramaters
    ----------
    x : int
        One.
    """


def press(vat, crate):
    """Press a crate.

    See Also
    --------
    tread
    """
    return crate


def tread(vat, crate, hours):
    """Tread a crate.

    Parameters
    ----------
    vat: str, where it is done
    crate: str, optional
    hours : int, default 3
    """


def stir(vat, hours):
    """Stir what is in a vat. It takes long.

    vat is the tag of the vat, and
    hours how long it takes.
    """


def explain(vat):
    """Explain a vat.

    Parameters
    ----------
    vat
        The vat.

    Returns
    -------
    cellar.Explanation:

    """
    return vat


def described(vat, masses, lid):
    """
    Weigh a vat.

    Parameters
    ----------
    vat: object to be weighed
    masses : (n, m) masses by row
    lid : (n,) array

    Returns
    -------
    float
        Its mass.
    """
    return 1.0


class Press:
    """
    ## Description

    Presses must until nothing is left in it.
    """

    def queue(self, must):
        """Queue must to be pressed.

        Parameters
        ----------
        must : must to press

        And returns a number. It is called for later.
        """
        return 1


def load_hall(path):
    """Load a hall.

    Parameters
    ----------
    path
        Where it is.


    Consider the following example ...


    hall.north.txt::

        crates

    """
    print(path)
