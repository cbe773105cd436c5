"""Vats, and what makes them."""


def builder(func):
    """Let a method give back a copy."""
    return func


class Vat:
    """A vat.

    .. method:: stir(speed, load)

       Stirs it.

       :param speed: how fast
       :param load: what is in it

       :returns: what came of it
    """

    @builder
    def fill(self, load: int) -> None:
        """Fill it. It is filled at once.

        :param load: the load
        :returns: a copy
        """
        self.load = load

    def drain(self, load: int) -> None:
        """Drain it. It is drained at once.

        :param load: the load
        :returns: a copy
        """
        self.load -= load

    def gauge(self, load):
        """Gauge it. It is gauged at once.

        :param load: the load
        :returns: what it holds
        """
        name = self.__class__.__name__
        raise NotImplementedError(f"{name} {load}")


def scale(unit):
    """Make a scale. It weighs in a unit.

    :param unit: the unit
    :param load: what the scale weighs
    :param tray: what nothing takes
    :returns: the scale
    """

    def weigh(load):
        return load * unit

    return weigh


def read(name):
    """Read a file.

    :param name: its name
    :returns: its text
    :raises IOError: when it is not there
    """
    if not name:
        raise OSError(name)
    return name


def tell(name, **options):
    """Tell a thing.

    Parameters
    ----------
    name : str
        Its name.
    **options
        What a reader takes.
    **options
        What a writer takes, where it is one.
    **options
        What a reader takes.
    """
    print(name, options)


class Press:
    """Make things.

    Parameters
    ----------
    load : int
        The load.
    *args
        Passed on.
    """

    def __new__(cls, *args, **kwargs):
        return super().__new__(cls)

    def __init__(self, load):
        self.load = load
