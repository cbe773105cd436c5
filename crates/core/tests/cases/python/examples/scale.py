def weigh(load):
    """Weigh a crate of cider.

    >>> weigh(3)
    3
    >>> for load in [1, 2]:
    ...     weigh(load)
    1
    >>> weigh(3
    3
    >>> print(\"\"\"one
    ... two\"\"\")

    ```python
    return weigh(4) +
    ```

    ```text
    weigh( (
    ```
    """
    return load
