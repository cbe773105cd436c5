import warnings
from . import old


@old.deprecated("use weigh")
def weigh_twice(load):
    """Weighs a crate."""
    return load


@warnings.deprecated("use weigh")
def weigh_thrice(load):
    """Weighs a crate."""
    return load
