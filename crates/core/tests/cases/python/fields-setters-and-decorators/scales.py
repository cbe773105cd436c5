"""What is weighed in the hall."""

from dataclasses import dataclass, field
from typing import Annotated

from press import Press, UnitOption


@dataclass
class Crate:
    """A crate of the hall.

    Args:
        tag (str): what is written on it
        load (float): what it weighs, once it is known
        colour (str): what it is painted with
    """

    tag: str
    load: float = field(init=False)


class Scale:
    """A scale."""

    @property
    def unit(self):
        """What it counts in, and how to set it.

        Parameters
        ----------
        value : str
            what to count in from now on
        other : str
            what nobody takes

        Returns
        -------
        str
            the unit
        """
        return self._unit

    @unit.setter
    def unit(self, value):
        self._unit = value

    @Press.timeout
    def weigh(self, crate):
        """Weigh a crate.

        :param crate: which one
        :param timeout: how long it may take
        :param force: how hard it is pressed
        """

    def settle(self):
        """Let it settle.

        :return: -
        """

    def weigh_or_fail(self, crate, again):
        """Like :meth:`weigh`, but fails if it is full."""
        return self.weigh(crate)


def press(
    crate: Annotated[str, Option(help="which one")],
    unit: UnitOption,
    twice: bool = False,
):
    """Press a crate.

    It is weighed afterwards.
    """


def draw(style, corners):
    """Draw a crate.

    Args:
        style (str): how it is drawn:
        FILLED: as a whole
        OPEN: with its corners alone
        corners (int): how many it has
    """


# Still not weighed by anybody.
class Vat:
    pass
