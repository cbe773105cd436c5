def density(sample, warm):
    """Density of a sample.

    Usage and parameters are the same as those of :func:`weigh`; the sample
    is put into water besides.

    :return: the density in g/ml
    """
    return sample


def weigh(sample, warm):
    """Weigh a sample.

    Refer to `density` for full documentation.

    See Also
    --------
    density : what is measured with it
    """
    return sample


def heat(sample, degrees):
    """Heat a sample.

    Parameters of older samples are kept.

    :return: the sample
    """
    return sample


class Plot:
    """Draws the must of a tank.

    :param tank: the number of the tank
    :param colour: the colour of the line
    """

    def __init__(self, tank):
        self.tank = tank

    def __call__(self, *more, **options):
        return self.tank


def heat_in_turns(sample, degrees):
    """Same as heat, but degrees are given one by one.

    >>> heat_in_turns(1, [2])
    """
    return sample


def heat_slowly(sample, degrees):
    """Heat a sample as slowly as can be. See :func:`heat` for more details."""
    return sample


def heat_by_law(sample, degrees):
    """Heat a sample. For details on the law, see the handbook."""
    return sample


@functools.wraps(heat)
def heat_again(*args, **kwargs):
    """Passes on to `heat`. This text is replaced by that of `heat`."""
    return heat(*args, **kwargs)


def weigh_all(crates, tare):
    """Weigh crates one by one.

    The tare is taken off each.

    - See the handbook for the scale.
    - See above for the parameters and the return value.
    """
    return sum(crates) - tare


def press(profile, policy, lid):
    """Press a crate. It takes its time.

    profile
        How hard it is pressed.

    policy:
        What is done with the rest.

    lid
    """
    return profile


def compare(first, second, equal=True):
    """Compares two crates.

    For strictly heavier, pass ``equal=False`` (default: ``True``).
    """


def address(crate, **values):
    """Finds the address of a crate.

    Works like :func:`addresses.find`."""
    return crate


def median(crates):
    """Weighs crates by their median (alias). See the help on the “weigh” function for further information."""
    return crates


def opened(lid=None, **kwargs):
    """Opens a press. The first time this function is called, a press is made for the lid, and any
    args other than "lid" will be passed on to the press.
    """


def shifted(crate, by):
    """Shifts a crate to the left.

    This is the version of `tip.shift` for marked crates, for details
    see that function.
    """


def stored(crate, places):
    """Stores a crate at its places.

    This function is equivalent to `Hall.store`, see that method
    for details.
    """


def stacked(crate, height):
    """Stacks crates.

    It keeps those that are marked, for details see `hall.stack`.
    """
