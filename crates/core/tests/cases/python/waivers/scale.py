"""A scale."""


def weigh(load, tare):
    """Weigh a crate. It must stand still.

    vinequill: waive param.missing -- told in the overview
    """
    return load - tare


# vinequill: waive comment.missing -- goes away soon
def weigh_twice(load):
    return load
