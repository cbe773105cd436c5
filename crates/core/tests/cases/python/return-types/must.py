def a() -> None:
    """Do it.

    Returns:
        int: wrong
    """


def b() -> typing.NoReturn:
    """Do it. Twice."""


def c(x):
    """Do it.

    Args:
        x: one
    """
    if x:
        return None
    return


def d(x):
    """Do it.

    Args:
        x: one

    Returns:
        None
    """


def e(x) -> "Optional[int]":
    """Do it.

    Args:
        x: one
    """


def f(x):
    """Do it.

    :param x: one
    :returns: a number
    """
    print(x)


def settle(load) -> Awaitable[None]:
    """Let a crate settle.

    Args:
        load: what it holds
    """
