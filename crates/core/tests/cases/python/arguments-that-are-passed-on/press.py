"""The press."""


def weigh(crate, **options):
    """Weigh a crate.

    Args:
        crate: its tag

    Other arguments are passed directly to :func:`tare`.

    Returns:
        the net load in kg
    """
    return tare(crate, **options)


def tip(*crates, **options):
    """Tip crates, one after the other.

    All further keyword arguments will be forwarded to the hall. It must be free.
    """


def press(*crates, **options):
    """Press crates, one after the other.

    The arguments are looked at. Crates are passed to the scale.
    """
