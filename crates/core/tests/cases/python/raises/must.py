def press(load):
    """Press it.

    Args:
        load: in kg
    """
    if load is None:
        raise ValueError("load")
    if load < 0:
        raise errors.Overload from None
    if load > 9:
        raise KeyError
    try:
        raise IndexError()
    except LookupError as error:
        raise
    except (OSError, TypeError) as error:
        raise error
    except Exception:
        raise
    raise problem
    raise make_error(load)
    raise NotImplementedError


def caught(load):
    """Press it.

    Args:
        load: in kg
    """
    try:
        raise ValueError(load)
    except:
        pass
    try:
        raise OwnError
    except ValueError:
        pass
    with contextlib.suppress(KeyError):
        raise KeyError(load)


class OwnError(ValueError):
    """Own."""


def documented(load):
    """Press it.

    Args:
        load: in kg

    Raises:
        ValueError: or a subtype
        RuntimeError:
    """
    raise OwnError(load)


def calm(load):
    """Press it.

    Raises:
        OSError: never
    """
    load += 1
