def f(x, y, z):
    """Do it.

    A paragraph on ``x``: with a colon.

    Arguments:
        x (dict[str, int]): one
            over two lines:
                and three
        y: two
    Note:
        Not an entry: this.

    Keyword Args:
        z (int, optional): three

    Returns: a number, on the line itself

    Raises:
        ValueError, KeyError: when
        If nothing works.

    Example:
        Args:
            q: not an entry
    """
    return 1


def g(x):
    """Do it.

    Arguements:
        x: one
    """


def h(x):
    """Do it.

    Args:
        None
    """


def i(attribute):
    """Do it.

    Parameters:

    * ``attribute`` (string): what to look for

    Returns:

    * (string): what was found
    """
    return attribute


def j(x):
    """Do it.

    Args:
        x: one

     Example usage:
    ```py
     with j(1):
       pass
     ```
    """


class Ledger:
    """What was weighed.

    Fields:
      day: the day of the last entry, which only the thread that writes
        may look at.
    """


def k(load):
    """Weigh a load.

    Args:
        load: what to weigh, in the following form:

    Keyword Args:
        crate: the crate
        mass: its mass
    """
