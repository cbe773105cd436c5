"""Weighs crates.

What a file writes already is written on: `:return:`, `:raise X:`.
"""


def mass(crate):
    """Weigh a crate.

    :param crate: what stands on the scale
    :return: its mass in kg
    :raise OSError: when the scale is off
    """
    if not crate:
        raise OSError
    return crate


def tare(crate):
    """Weigh it without its load.

    :param crate: what stands on the scale
    """
    if not crate:
        raise ValueError
    return crate


def level(scale):
    if scale < 0:
        raise ValueError
    return scale
