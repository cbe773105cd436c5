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
