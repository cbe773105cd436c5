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


def ceiling(inplace=False, i=False):
    """The ceiling of a load.

    :Parameters:

        {{inplace: `bool`, optional}}

        {{i: deprecated at version 3.0.0}}

    :Returns:

        {{inplace load}}
    """
    return inplace or i
