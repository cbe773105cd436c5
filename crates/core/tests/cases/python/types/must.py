def f(a: int, b: str | None, c: list[int], d: Optional[str], e: float, g: "Crate"):
    """Do it.

    Args:
        a (str): wrong
        b (str, optional): right, though not optional
        c (dict): wrong
        d (int or str): right
        e (int): narrower
        g (int): unknown
    """


def h(a=3, b=True, c="x", d=None):
    """Do it.

    Parameters
    ----------
    a : int, default 4
        Wrong.
    b : bool, default: True
        Right.
    c : str, default 'x'
        Right.
    d : {1, 2}, optional
        A set.
    """


def i() -> str:
    """Do it.

    Returns:
        int: wrong
    """
