"""A scale."""

recieve = 3


def weigh(seperate):
    """Weigh a crate that was recieved and Recieve, seperate or not; definately in kg.

    `definately` is code, http://definately.example too, and definately_not is a name.
    The project knows its brix and occured.
    """
    return seperate


class Bimap:
    """A bimap is no misspelling here, 'seperate' is told of, and truely is one."""

    def weigh(self):
        """Weigh the bimap."""
