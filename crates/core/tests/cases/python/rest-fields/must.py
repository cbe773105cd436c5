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
