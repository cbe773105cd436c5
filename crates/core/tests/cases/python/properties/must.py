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
