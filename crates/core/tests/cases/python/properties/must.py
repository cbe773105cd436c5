class Vat:
    """A vat."""

    @property
    def level(self):
        """The level. In litres."""
        return 1

    @level.setter
    def level(self, value):
        self._level = value

    @functools.cached_property
    def volume(self) -> int:
        return 3


class Cellar:
    """A cellar."""

    @property
    def vats(self):
        """The vats, to be called for those of one grape.

        Args:
            grape: which one
        """
        return VatsOf(self)

    @property
    def depth(self) -> float:
        """How deep it is.

        Args:
            unit: of length
        """
        return self._depth
