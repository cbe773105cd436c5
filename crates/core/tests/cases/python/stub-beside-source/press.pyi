class Press:
    """The press of the harvest."""

    def weigh(self, load: float, crate: int) -> float:
        """Weighs a crate. It must stand still.

        Args:
            crate: Its tag.
            laod: In kg.
        """

    def tare(self, crate: int) -> float:
        """Tells the tare of a crate. It was weighed empty.

        Args:
            crate: Its tag.
        """

def empty(crate: int) -> int: ...
def only_here(crate: int) -> int: ...
