"""Weigh."""
import abc


def inverse(annotated: bool = False):
    """Return it inverted.

    Args:
        annotated: when set to ``True``, this is used to return an
            object.

     Returns:
        Crate: the inverse.
    """
    return Crate()


def at(index):
    """Find one.

    Args:
        index: a number, or a pair. E.g. 8, (10, None, 3),
        or (3, slice(0, 1, None))
        https://crates.test/a#b

    Returns:
        The crate
    """
    return index


def render(doc) -> tuple[str, str]:
    """Render all.

    Parameters
    ----------
    doc: Document
       The document.

    Returns
    -------
    json: str
    items: str
    """
    return doc, doc


def pair(doc) -> tuple[bool, bytes | None]:
    """Render all.

    Parameters
    ----------
    doc: Document
       The document.

    Returns
    -------
    bool, bytes
        Whether it went well.
    """
    return doc, doc


def take(crates, most: int):
    """Buffer crates and yield a list of those buffered.

    Args:
        crates: what to buffer
        most: how many
    """
    for crate in crates:
        yield [crate]


class Groups:
    """Groups crates.

    Args:
        qs: the crates

    Yields:
        A tuple of each.
    """

    def __init__(self, qs):
        self.qs = qs

    def __iter__(self):
        yield self.qs


class Base(abc.ABC):
    """A base."""

    @abc.abstractmethod
    def optimizer(self, cfg):
        """Returns an optimizer.

        Args:
            cfg: how

        Returns:
            The optimizer.
        """
        return

    def listener(self, name):
        """Find the listener.

        :param name: which
        :rtype: Listener
        """
        return None

    def dead(self):
        raise NotImplementedError("not yet")
        """
        self.x = 1
        """

    def spans(self):
        """Tell of spans.

        They are ``months * 2629746 + days
        + d.nanoseconds // 1000000000``.
        And more.
        """


def read_exactly(count: int) -> Generator[None, None, bytes]:
    """Read some bytes.

    This is a coroutine that is written as a generator.

    Args:
        count: how many
    """
    while True:
        yield
