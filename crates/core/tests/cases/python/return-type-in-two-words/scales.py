"""Scales."""


def weigh(crate):
    """
    Weigh a crate.

    :param crate: what to weigh
    :type crate: Crate
    :return: the net load
    :return type: float
    """
    return crate.load
