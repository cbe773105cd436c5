def serve(gate):
    """Lets crates in.

    Args:
        gate: Its number.

    Returns:
        This never returns unless the gate is shut.
    """
    gate.serve()


def watch(gate):
    """Watches a gate.

    Args:
        gate: Its number.

    Returns:
        The crates.
    """
    gate.watch()


def crates(gate):
    """Iterates over the crates. They come as they were weighed."""
    for crate in gate:
        yield crate


def loads(gate):
    """Looks at the loads. They come as they were weighed."""
    for crate in gate:
        yield crate.load


def has_press(hall):
    """Looks for a press.

    The hall has to be open.

    Notes
    -----
    True if a press was found (and could be started).
    """
    return hall


def paths(crates):
    """If all crates are there then return
    where they stand.

    Those with a mark come first.
    """
    return crates
