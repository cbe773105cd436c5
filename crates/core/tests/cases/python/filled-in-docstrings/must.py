def f(x, y):
    """Do it. In parts.

    %(parameters)s
    """


def g(x, y):
    """Do it. In parts.

    {parameters}
    """


class Vat:
    """A vat.

    Args:
        volume: in litres

    $more
    """

    def __init__(self, volume, level):
        pass
