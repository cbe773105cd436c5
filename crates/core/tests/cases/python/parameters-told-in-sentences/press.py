def weigh(load, crate):
    """Weigh a crate.

    The first argument is the load. It may be nothing, and then
    zero comes back as its weight.
    """
    print(load)


def tip(load, crate):
    """Tip a crate.

    Both arguments are told by name. Nothing else is looked at.
    """
    print(load)


def fill(load, crate, *, lid=False, tag=None):
    """Fill a crate.

    If *lid* is true, the lid is put on. It is not nailed.

    When tag=None, none is written.

    """
    print(load)


def guard(load):
    """Guard a crate.

    Can be used as a function decorator or context manager.
    """
    return load


def guards(load):
    """Guard a crate.

    :param load: If lid is true.
    """
    return load
