"""Barns."""

from __future__ import annotations

from typing import AsyncIterator, Iterator, overload


class Barn:
    """A barn. Big.

    Attributes:
        width: how wide it is

    Args:
        width: how wide
        names: the names
    """

    def __init__(self, width: int, /, *, names: tuple[str, ...] = ()) -> None:
        self.width = width
        self.names = names

    @property
    def area(self) -> int:
        """The area. In m².

        Returns:
            the area
        """
        return self.width**2

    @classmethod
    def make(cls, width: int = 3) -> Barn:
        """Make one. Empty.

        Args:
            width: how wide. Defaults to 3.

        Returns:
            the barn

        Raises:
            ValueError: If it is negative.
        """
        if width < 0:
            raise ValueError("negative")
        return cls(width)

    def walk(self, n: int) -> Iterator[int]:
        """Walk. Slowly.

        Args:
            n: how far

        Yields:
            each step
        """
        yield from range(n)

    async def read(self, path: str) -> AsyncIterator[bytes]:
        """Read. Slowly.

        Args:
            path: which

        Yields:
            bytes: each chunk
        """
        yield b""

    def __enter__(self):
        """Enter. Slowly.

        Returns:
            itself
        """
        return self

    def __getitem__(self, key):
        """Get one. By key.

        Args:
            key: which

        Returns:
            it

        Raises:
            KeyError: If there is none.
        """
        try:
            return self.names[key]
        except IndexError as error:
            raise KeyError(key) from error


def deco(*, times: int = 3):
    """Decorate. Often.

    Args:
        times: how often

    Returns:
        callable: what decorates
    """

    def outer(function):
        def inner(*args, **kwargs):
            for _ in range(times):
                function(*args, **kwargs)

        return inner

    return outer


def both(a, b=None, *args, c, d=2, **kwargs):
    """Do both. Slowly.

    Parameters
    ----------
    a, b : int
        The two.
    *args : tuple
        The rest.
    c : {'x', 'y'}
        Which.
    d : int, default: 2
        How.
    **kwargs
        By name.

    Returns
    -------
    first : int
        One.
    second : int
        Another.

    Raises
    ------
    ValueError
        If it is negative.
    TypeError
        If it is none.
    """
    if a < 0:
        raise ValueError
    if a is None:
        raise TypeError("none")
    return a, b


class Pair(NamedTuple("Pair", [("left", str), ("right", str)])):
    """Two crates.

    Args:
        left: The one.
        right: The other.
    """


class Made(NamedTuple("Made", [("left", str), ("right", str)])):
    """Two crates, made.

    Args:
        left (str): The one.
        right (str): The other.
    """

    def __new__(cls, left: str, right: str = ""):
        return super().__new__(cls, left=left, right=right)


def cover(value, kind):
    """Cover a crate.

    Args:
      value: A crate, to be turned into a (collection of)
     `press.Crate`(s).
      kind: The same as would be
     `value(pre).kind`.
    """


class Net:
    """A net.

    Parameters
    ----------
    units : int
        How many.
    mesh (int):
        How wide.

    Outputs:
        - **caught**: What it holds.
        - **lost**: What it does not.

    example: Net(3, 4).caught
    """

    def __init__(self, units, mesh):
        pass

    @property
    def on_catch(self) -> CatchCallback | None:
        """Called when something is caught.

        :param net: Which it is.
        """


def roles(*hands: int, **ranks: str):
    """Check roles.

    Args:
        hands (List[int]): Who is there.
        ranks (Dict[str, str]): Who may do what.
    """


def both() -> tuple[bool, set[str]]:
    """Look at both.

    Returns:
        bool: Whether they are there.
        set[str]: What they hold.
    """


@overload
def many(name: str) -> str:
    """A name is given. No other."""
@overload
def many(name: int) -> int: ...
def many(name):
    """Take many. Of all kinds.

    Args:
        name: What to take.

    Returns:
        What was taken.
    """
    return name


def load(crate, mode):
    """Load a crate. It is heavy.

    :Parameters:
        `crate`: str
            Where it lies.
        `mode` : str, optional
            How it is lifted.

    :returns: What it weighs.
    """
    return crate


def gather(*args):
    """Gather crates. All of them.

    :parameters:
        - `crates`: Which.
    """


def keep(times):
    """Keep times. All of them.

    Args:
      times: When it was.

    Returns:
      :py:data:`None`

    Raises:
      ValueError: If times are none, or do not have a
      frequency.
    """
    if not times:
        raise ValueError("none")
    del times


def settle(config, mode):
    """Settle a dispute. For good.

    Args:
        config (Any): What was agreed on by both of them, matching this object's
        config_schema
        mode: How.
    """
    del config, mode


def click(i, j):
    """Click one. At once.

    Args:
        i: Which row.
        j: Which column.

        Example:
            click(1, 2)
    """
    del i, j


class Board:
    """Where channels end."""

    @lazyproperty
    @as_scalar
    def width(self):
        """The width of the board. In metres."""
        return self.lines * 2

    @gen.coroutine
    def close(self, timeout):
        """Close the board. For good.

        Args:
            timeout: How long it may take, in seconds.
        """
        yield self.channel.close(timeout)

    def tokens(self) -> "Iterator[Token]":
        """Take the board apart. Into its tokens.

        Yields the board itself if it has no parts.
        """
        return self.lines.tokens()


def pick(crate, tare=0, scale=None):
    """Pick a crate. By hand.

    Parameters
    ----------
    crate
        The one to pick.
    tare, optional
        What to take off, by default 0
    scale: Scale of the yard.

    Returns
    -------
    float
        The load in kg.
    """
    return scale.load(crate) - tare


def find():
    """Find the red crate. By its colour.

    If there is one this returns its place, and takes it out. Otherwise, returns -1.
    """
    return crates.index("red")


def spread():
    """Spread all crates. Evenly.

    returns (n, d+1)
    """
    return crates[:]


def load(crate, size=1, kinds=None):
    """Load a crate. From a file.

    Parameters
    ----------
    crate : str
        Its name.
    size : int, default 1
        How many to take at once.

    See the yard's documentation for more of the following parameters:
    kinds, size

    Returns
    -------
    Crate
        What was read.
    """
    return read(crate, kinds, size)


def draw_day(start):
    """Draw a day. At random.

    :param start: The first day that may come.

    :sample:
    :sample: start=1
    :sample: start=2
    """
    del start
