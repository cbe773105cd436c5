async def press(load, *, timeout: float = 3.0):
    """Press it.

    Args:
        load: in kg

    Raises:
        TimeoutError: when it takes long
    """
    match load:
        case 0:
            raise ValueError("empty")
        case _:
            await wait(load)
    async with lock:
        raise TimeoutError
    return [x async for x in load]


def later():
    """Do it. Later."""
    def inner():
        return 1
    call(lambda: (yield))
    return
