class Vat:
    """A vat.

    Args:
        volume: in litres
        level: in litres
    """

    def __init__(self, volume, level, label):
        self.volume = volume


class Barrel:
    """A barrel.

    Args:
        wood: what of
    """

    def __init__(self, wood, volume):
        """Make one.

        Args:
            volume: in litres
            colour: not there
        """


class Tank:
    """A tank."""

    def __init__(self, volume):
        """Make one. Of steel."""


class Loose(Other):
    """Loose.

    Args:
        anything: nobody knows

    Attributes:
        level: a property, never unknown
    """
