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


def carry(load, crate):
    """Carry a crate.

    Arguments are these:
    load -- what lies in it
    crate -- what is carried
    """
    print(load)


def lower(load, crate):
    """Lower a crate. The `load` may be nothing. Where crate is
    empty, the `crate` is left where it stands. Its load says *load* is here.
    """
    print(load)


def decorate(press):
    """A class decorator for presses, which are told apart by it. It is
    not for scales.

    :param press: the class
    """
    return press


class SlowPress:
    """A press that takes its time.

    Parameters
    ----------
    Like in `Press`, except speed

    speed : int
        How slow it is.
    """

    def __init__(self, load, crate, speed):
        pass


def last_crates(count, press):
    """The last crates of a press.

    >>> last_crates(2, [1, 2, 3])
    [2, 3]

    :param count: how many
    :param press: the press
    """
    return press[-count:]


def open_press(press, **more):
    """Open a press.

    :param press: what is opened
    Other arguments are passed to the press.
    """
    print(press, more)


def tare(press, load):
    """Tare a press -- see `open_press` for how it is opened.

    :param press: what is tared
    """
    print(press, load)


def tip(crate, by, above, wholly):
    """Tip a crate. It is tipped slowly, and *above* is how far up. If by is
    zero, nothing is tipped; 'wholly' tips it over. by are degrees. It is a 'crate'.

    >>> tip('crate', 3, 'above', True)
    """
    print(crate)


def stack(specs, others):
    """Stack crates on a pallet. specs are pairs of a name and a load. See I{others}.
    The first arguments are as per :func:`tip`.
    """
    print(specs)


def hoist(load, height):
    """Hoist a load.

    Args:
        load (float) what is hoisted.
        height (int)
    """
    print(load)


def plain(load, height):
    """Hoist a load. The load and the height are both plain words here."""
    print(load)


def read_scale(net_load=2, tare=True):
    """Read up to so many digits (net_load) of the scale. It is slow.  If tare is a
    number, that is taken off. Not all scales (crate) tell.
    """
    print(net_load)


def crates_of(hall, strict) -> Iterator[str]:
    """Iterates over all crates of a hall.

    :param hall: where they are
    :param strict: whether all of it counts
    """
    return hall.crates


def is_marked(crate):
    """See if a crate is marked.

    It is looked at from all sides.
    """
    return crate


def loads(press, crates):
    """An extended version of map() returning a list.
    The crates are loads."""
    return [press, crates]


def lookup(name, default=None):
    """Looks up a crate.

    Works the same way as getattr, but returns what is given where there is none"""
    return name or default


def net(net_load, unit, *crates):
    """Weighs crates without the pallet. This is needed because net_load is negative where the pallet is heavier than all
    of them, and the unit is kept.
    """


def called(visit, *args, **kwargs):
    """Goes through all crates.

    What visits them is given args and kwargs with each crate.
    """


def widened(strict_order, fast):
    """Weighs crates in order.

    The fast param works as in :func:`weigh`, and ``strict_order == "by load"`` is slow.
    """


def priced(crate, unit):
    """Says what a crate costs.

    Args:
        crate Optional(str): What is on it.
        unit Union[str, int]: What it is counted in.
    """


def parted(load, files, crate):
    """Parts what is on a scale. It is put down once.

    What the load and files parameters hold is changed.
    """


def as_load(crate):
    """Weighs a crate. Not to be called by growers - see :meth:`Scale.weigh` instead."""


def truly(load):
    """Expresses a load. If it is a number already, it is simply returned."""
    return load


def prefix(command, unit, net_load, other):
    """Prefix what is weighed with given command. It ends with the
    specified
    unit, which is `!other` than nothing.

    The :class:`NetLoad` is told of last.
    """
    print(command, unit, net_load)


class Fleet:
    """The presses of a hall."""

    def cell(self, row: int, column: int) -> Press:
        """`Press` at `row`, `column`.

        The first is at zero.
        """
        return self.presses[row][column]

    def opened(self, *args, hall, **kwargs):
        """Open one.

        It passes most args & kwargs through to the press.

        :param hall: where it stands
        """
        print(hall, args, kwargs)


def outer(load1, load2, unit):
    """Tells how far load1 is above load2. It is in kg.

    The output is a number, in the unit passed in.
    """
    return (load1 - load2) / unit


def wait(seconds, crates):
    """Waits a given number of seconds, for every crates given.

    It weighs nothing.
    """
    print(seconds, crates)


def open_press(path, mode, sharing):
    """Opens a press, which is weighed.

    Other parameters are optional and have the same semantics as the parameters of `open_hall()`.
    """
    print(path, mode, sharing)


def farther(load1, load2):
    """Compares the supplied loads.

    The result may be nothing.
    """
    return load1 or load2


def exchange(crate_map, html_code, net_load):
    """Exchange crates for others.

    Crate map is a dictionary of crates. They are kept in a string of
    HTML code, and the crate's load is another.
    """
    print(crate_map, html_code, net_load)


def moment(load, arm, gravity=9.81):
    """Weigh what hangs on an arm.

    moment(load, arm, gravity) =
        load * arm * gravity
    """
    print(load * arm * gravity)


class Seal:
    """The seal of a crate."""

    def stamp(self) -> bytes:
        """The plain bytes of the stamp.

        They are never sealed.
        """
        return self.bytes

    def stamps(self) -> bytes:
        """The sealing of crates should be slow.

        It is never hurried.
        """
        return self.bytes


# Mostly a concession to growers.
def concede():
    return 1


def free(func, crate):
    """Frees what is held by func. The crate is left where it is."""
    print(func, crate)


def planted(**kwargs):
    """planted(vine=rows, [vine=rows, ...])

    Plants some vines. They are not watered.
    """
    print(kwargs)


def parted(load):
    """Parts a `load` in two, returns (net, tare). They are in kg."""
    return load, load
