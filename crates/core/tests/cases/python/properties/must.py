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


class Spot:
    """Where a crate stands."""

    @property
    def points(self):
        """Where it stands."""
        return self._points

    @points.setter
    def points(self, pts):
        """Set where it stands.

        The points are taken over. Nothing is copied.
        """
        self._points = pts

    def index(self):
        """The index of the spot on the scale. Nobody else counts them."""
        return self._index

    def check(self):
        """Check the spot.

        Returns
        -------
        None if nothing stands there
        """
        if self._points:
            raise ValueError("full")
