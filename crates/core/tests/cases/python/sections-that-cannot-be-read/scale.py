def weigh(load, tare):
    """Weigh a crate of cider.

    Args:
    load: what it weighs in kg
    tare: of the crate in kg
    """
    return load - tare


def weigh_all(loads, tare):
    """Weigh all crates of cider.

    Parameters
    ----
    loads : list
        in kg
    tare : int
        of each crate in kg
    """
    return [load - tare for load in loads]


def weigh_some(loads):
    """Weigh some crates of cider.

    Shape:
        loads: in kg
    """


def weigh_slowly(crate, lid):
    """Weigh a crate. It takes its time.

    Args
        crate (Crate): what to weigh
        lid (bool): whether it is closed
    Returns
        float: its mass in kg
    """
    return 1.0


def weigh_never(crate):
    """Weigh nothing.

    Parameters
    are not told of here.
    """
