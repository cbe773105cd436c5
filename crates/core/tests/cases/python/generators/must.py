def loads(crates):
    """List loads.

    Args:
        crates: their tags
    """
    for crate in crates:
        yield crate


async def later(crates):
    """List loads.

    Args:
        crates: their tags

    Yields:
        int: the load
    """
    yield 1


def handed(crates) -> Iterator[int]:
    """List loads.

    Args:
        crates: their tags

    Yields:
        the load
    """
    return iter(crates)


@contextmanager
def opened(vat):
    """Open it.

    Args:
        vat: which one
    """
    yield vat


def none(crates):
    """List loads.

    Args:
        crates: their tags

    Yields:
        nothing, in truth
    """
    crates.sort()


def walk(crate):
    """
    Walk over the crates of a stack.

    The parts come first. A crate without parts simply yields itself.
    """
    yield crate
