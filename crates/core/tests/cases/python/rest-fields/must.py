def f(x, y, z):
    """Do it.

    :param int x: one
       over two lines
    :param y: two
    :type y: str, optional
    :parm z: three
    :returns: a number
    :rtype: int
    :raises ValueError: when
    :raises ~press.KeyError:
    :class:`Crate` is no field.
    """
    return 1


def g(x):
    """Do it.

    .. code-block:: python

        :param q: hm

    :param x:
    :type w: int
    :meta private:
    """


def weigh_all(crates, *, scale=None, on_bridge=False, **more):
    """
    Weigh all crates. The bridge stays open.

    .. admonition:: Example:

        .. literalinclude:: ../samples/weigh.py
            :language: python
            :caption: How it is done.

    :keyword scale: what weighs them
    :paramtype scale: Scale
    :type crates: list
    :param \\*\\*more: passed on
    :paramtype on_bridge: bool
    """
    try:
        scale.open()
    except (KeyboardInterrupt, KeyError):
        scale.close()
        raise


@flag_value
def full(self):
    """:class:`bool`: Whether the bin is full.

    It is emptied at night.
    """
    return 1 << 8


def escapes(trace, crate):
    """
    :param trace: where it went
    :param crate: which one
    :returns: whether it did

    Checks whether a crate went somewhere else.
    """
    return trace is crate


def count(lexicon):
    """Counts words. It takes long.

    :param shorthand - language and cellar, eg: de_vat
    :param lexicon: the words
    """
    print(lexicon)


def stars(channel):
    """Removes a star.

    https://example.org/stars.remove
    """
    return channel


def run(channel):
    """Runs it.

    See: Channel.run()
    """
    return channel


def halt(channel):
    """Halts it.

    .. rubric:: See Also

    run
    """
    return channel


class Board:
    """A board of channels.

    :parameters:
        channel : String
            Its name.
        lines: Integer
            How many it has.

    +-----------+----------------------+-----------------+
    | ``lines`` | ``1.0 + channels / ( | How many it has |
    |           | 2.0 * banks)``       | by default.     |
    +-----------+----------------------+-----------------+
    """

    def __init__(self, channel, lines=2):
        self.channel = channel


def colons(crate, tare, kind):
    """Forget the second colon of fields.

    :param crate the crate to weigh
    :param tare: the tare
    :param str kind which kind it is, of which the name cannot be told
    :raises ValueError if there is no crate
    :return the load in kg
    """
    if not crate:
        raise ValueError("no crate")
    return crate.load - tare - kind
