def f(x):
    """Do it.

    Example::

        :param q: not an entry in google
        Args:
            z: nor this

    ```
    Args:
        w: nor that
    ```

    Args:
        x: one, e.g.::

            y: code
    """
