class Vat:
    def __init__(self, volume, level=0): self.volume = volume

    def fill(self, by: float, slowly=True, *more, **options):
        if by < 0:
            raise ValueError(by)
        return by

    def empty(self):
        """Empty it. At once."""
        return self

    def drain(self, to):
        """
        Drain it.

        Returns:
            the rest
        """
        return to

    def close(self, hard, fast):
        'Close it. Hard.'

    def open(self, a, b, c):
        """Open it.

        Args:
            b: second

        Example:
            >>> open()
        """


def loads(): yield 1
