from warnings import deprecated


@deprecated("use weigh")
def weigh_twice(load):
    """Weighs a crate."""
    return load
