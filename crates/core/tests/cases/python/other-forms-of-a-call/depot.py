"""Calls that take more than one form."""


@by_tag_or_place
def stow(tag, crate):
    """Stow a crate. Where there is room.

    :param str tag: The tag of a bay.

    Alternatively, you may name the place.

    :param int row: The row.
    :param int bay: The bay.

    :param crate: What to stow.
    """
    place(tag, crate)


def fetch(tag, crate):
    """Fetch a crate. From where it is.

    :param str tag: The tag of a bay.

    Alternatively, you may name the place.

    :param int row: The row.
    :param int bay: The bay.

    :param crate: What to fetch.

    :returns True: It was there.
    :returns False: It was not.
    :returns None: Nobody knows.
    """
    return find(tag, crate)


def walk(rows):
    """Recursively iterates over what stands in rows. Empty bays are left out.

    :param rows: Where to begin.
    """
    for row in rows:
        yield from walk(row)
