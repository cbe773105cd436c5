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
