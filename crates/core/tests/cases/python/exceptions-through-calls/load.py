"""Loads what the scale wrote."""

from parse import Parser, parse


def load(name):
    """Load a file of loads. It is read as a whole."""
    return parse(name)


def load_safely(name):
    """Load a file of loads, or nothing. It is read as a whole."""
    try:
        return parse(name)
    except ValueError:
        return None


def load_all(names):
    """Load several files. They are read one by one.

    Raises:
        ValueError: when a line of one is broken
    """
    return [load(name) for name in names]


def load_later(name):
    """Give a loader. It loads when it is called."""
    return lambda: parse(name)


def twice(name):
    """Load a file twice. It takes twice as long."""
    parser = Parser(name)
    return parser.next()


def even(number):
    """Tell whether a number is even. It asks the other one."""
    return number == 0 or odd(number - 1)


def odd(number):
    """Tell whether a number is odd. It asks the other one."""
    if number < 0:
        raise OverflowError(number)
    return even(number - 1)
