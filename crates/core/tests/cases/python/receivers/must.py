class Must:
    """A must."""

    def press(self, times):
        """Press it.

        Args:
            tmes: how often
        """

    @classmethod
    def of(cls, grape):
        """Make one. Of grapes."""
        return cls()

    @staticmethod
    def sugar(self, load):
        """Tell the sugar.

        Args:
            self: an ordinary parameter here
        """

    def rest(self, nights):
        """Let it rest.

        Args:
            self: the must
            nights: how many
        """
