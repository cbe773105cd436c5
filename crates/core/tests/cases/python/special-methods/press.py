"""The press floor."""


class Press:
    """A grape press."""

    def __enter__(self):
        """Open the press. It is closed when the block ends."""
        return self

    def __exit__(self, kind, value, trace):
        """Close the press. Loads stay where they are."""

    def __eq__(self, other):
        """Compare two presses. Their loads count."""
        return self.load == other.load

    def __getitem__(self, crate):
        """Find a crate. It may have been tipped.

        :param crates: its tag
        """
        if crate < 0:
            raise KeyError(crate)
        return crate

    def __call__(self, speed):
        """Turn the press. It must be closed."""

    def weigh(self, crate):
        """Weigh a crate.

        On success return the net load, else nothing.

        See :meth:`Scale.weigh` for the usual arguments.
        """
        return crate

    def tip(self, crate, unit):
        """Tip a crate.

        See `Scale.tip` for the standard args.

        :param unit: of the load
        """

    @fill_in
    def tare(self, crate, unit):
        """Take the tare of a crate. It must be empty.

        Parameters
        ----------
        %(press.crate)s
        unit : str
            of the tare
        """

    def __truediv__(self, others):
        """/"""
        return self.load / others

    def __add__(self, other):
        """ """
        return self.load + other

    def loaded(self):
        """A press as a float, else ``None``.

        Loads in crates are left out.
        """
        return self.load

    def filled(self) -> "Self":
        """Fill the press. It must be open."""
        return self

    def turned(self, speed):
        """Same thing than `weigh` but faster. It is loud."""
        return speed

    def opened(self, speed):
        """Open the press.

        See `Scale.opened` for description.
        """
        return speed


class Cellar:
    """A cellar of presses.

    Accepted in the settings dictionary:

    :param tanks: how many there are

    :param presses: how many stand in it
    """

    def __init__(self, settings):
        self.tanks = settings.pop("tanks")
