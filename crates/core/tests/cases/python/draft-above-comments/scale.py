"""Weighs crates."""


class Scale:  # of the yard
    # Settings come first.
    limit = 10

    def weigh(self, crate):  # slow
        # Why it takes a while.
        # And why it matters.
        for each in crate:
            yield each

    def level(self, by):
        # type: (int) -> int
        # Rounded.
        if by:
            return 1
        return by

    # What a scale does on the side.
    def tip(self, by): return by


def heave(by):
# Out of line.
    return by


def lift(by): \
    return by
