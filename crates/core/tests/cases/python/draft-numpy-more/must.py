class Vat:
    """A vat.

    Parameters
    ----------
    volume : float
        In litres.

    Examples
    --------
    >>> Vat(1)
    """

    def __init__(self, volume, level=0.0, *, label=None):
        self.volume = volume

    def fill(self, by):
        """Fill it. It must be empty.

        See Also
        --------
        empty : the opposite
        """
        if by < 0:
            raise ValueError
        return by

    def taste(self):
        """Taste it.

        Yields
        ------
        float
            Sips.
        """
        yield 1.0


def is_heavy(load, tare=2):
    """Check whether a crate is heavy.

    It is weighed.
    """
    return load > tare


def press(crate: "Crate" | None, all: list["Crate"] | "Yard", mode: Literal["slow", "fast"]) -> "Must":
    return Must(crate, all, mode)
