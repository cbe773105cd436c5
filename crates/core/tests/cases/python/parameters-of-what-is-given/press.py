"""The press."""


def press(crate, progress=None):
    """Press a crate.

    Parameters:
        crate (str): which one
        progress (callable): called while it runs, with *(done, total)*

    Other Parameters:
        done (int): what is pressed already
        total (int): what there is
        *args (tuple): what else is wanted
    """


def weigh(matcher, crate):
    """Go through the crates on the scale.

    The `matcher` argument is a name, or a function that takes one.

    Each is weighed once, beginning with `crate`.
    """


class Scale:
    """A scale."""

    def of_hall(cls):
        """A factory method that returns a scale for a hall.

        It is tared.
        """
        return cls()


# Same code as above, but for crates.
class Crates:
    pass


def order(first, second, third, fourth):
    """Put crates in order.

    The *first* and *second* arguments are crates.
    The `third` must be a place.

    They are weighed afterwards.
    """


def order_twice(first, second):
    """Put crates in order twice.

    See `order` for parameter meaning.
    """
