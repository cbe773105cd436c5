"""The press."""


def weigh(crate, unit="kg"):
    """
    @brief Weigh a crate.

    The crate must lie still.

    @param crate   the tag of the crate
    @param unit    of what comes back
    @return        the net load
    @exception     ValueError for a crate that moves
    """
    if crate < 0:
        raise ValueError("moves")
    return crate


def weigh_all(crates, unit, *, limit=None):
    """Weigh all crates.

    @param crates  their tags
    @params unit   of what comes back
    @param limits  how many at most
    @returns       the net loads, in the order
                   of the crates
    """
    return [weigh(crate, unit) for crate in crates[:limit]]


def tip(crate):
    """Tip a crate.

    @param crate: the tag of the crate
    @return: what was in it
    """
    return crate


def press(crate):
    """Press a crate. It must be full.

    Works on a class::

        @property
        def crate(self): ...
    """
    return crate
