class Vat:
    """A vat.

    Attributes:
        level (float): in litres
        label: what is on it

    Methods:
        fill: fills it
    """

    #: Volume in litres.
    volume = 100

    colour = "red"
    """What it looks like."""

    def __init__(self, level):
        self.level = level

    def __eq__(self, other):
        """Compare.

        Args:
            othr: another
        """
        return True
