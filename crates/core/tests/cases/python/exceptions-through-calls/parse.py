"""Parses what the scale wrote."""


class LineError(ValueError):
    """A line that cannot be read."""


def parse(text):
    """Parse lines of loads."""
    return [_line(line) for line in text.splitlines()]


def _line(line):
    if not line:
        raise LineError(line)
    return int(line)


class Parser:
    """Parses bit by bit."""

    def __init__(self, text):
        """Begin with a text."""
        self.check(text)
        self.text = text

    def check(self, text):
        """Look whether a text can be read."""
        if not text:
            raise EOFError("no text")

    def next(self):
        """Parse the next line. It must be there."""
        return _line(self.text)
