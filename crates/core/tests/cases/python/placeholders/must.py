def f(x, y):
    """TODO: describe

    Args:
        x: TODO: describe
        y: Description of y
    """


def g(x, y):
    """Docstring.

    Args:
        x: TBD
        y: a todo list
    """
