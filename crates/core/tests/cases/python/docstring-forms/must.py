"""The module."""
import os


def raw():
    r"""Raw \\ text."""


def single():
    'One line.'


def joined():
    "Joined " "of two."


def formatted():
    f"""Not a docstring {os}."""


def data():
    b"""Nor this."""


def commented():
    # first a comment
    """Then the docstring."""


def late():
    x = 1
    """A string after an assignment."""


def dropped():
    import os
    """Would be the docstring."""


# Explains what this does.
def ordinary(): return 1


def assigned(): return 1


assigned.__doc__ = "Made up. Elsewhere."
