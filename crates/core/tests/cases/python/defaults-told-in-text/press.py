"""Presses."""


def press(load, days=1, slow=False, rate=0.5, name="oak", turns=3, width=2, height=2):
    """Press a crate.

    Args:
        load (float): What lies on it. Default 3.
        days (int, optional): How long. Defaults to 2.
        slow (bool): Whether it takes its time (default: True).
        rate (float): How fast. Default is ``0.5``.
        name (str): Of the wood. Defaults to oak.
        turns (int): How often. Defaults to 4 if the press is slow.
        width, height (int): Of the crate. Defaults to 3.
    """


def weigh(load=10, unit=1, tare=2):
    """Weigh a crate.

    Parameters
    ----------
    load : float, optional
        What lies on it. The default value is
        12.
    unit : int, optional
        What it is counted in. Default: 1.0
    tare : int
        The default is 3 by default.
    """
