"""Works at the press."""


def save(path, policy, base=None):
    """Save what was pressed.

    Args:
        path: where to
        policy: one of `live`, `now` and `end`
        - live: as it changes
        - now: once, at once
        - end: when the press stops
        base: what the path begins at
    """


def load(path, base=None):
    """Load what was saved.

    Args:
        - path: where from
        - bsae: what the path begins at
    """


def move(path, base=None, depth=1):
    """Move what was saved.

    Args:
        path: where from
        - base: what the path begins at
        - depth: how far down
    """


# ### What reads and writes the loads of crates ###
class Reader:
    pass


# Set up some methods that lead to the scale
def weigh(crate):
    return crate.load
