"""Scales as the press house asks for them."""
from zope.interface import Interface, implementer


class IScale(Interface):
    """Something that weighs."""

    def weigh(crate, attempts=1):
        """
        Weigh a crate.

        @param crate: what stands on it
        @param atempts: how often
        @return: its load in kg
        """

    def tare():
        """Set it to nothing."""


class IBridge(IScale):
    """A scale for lorries."""

    def open(lorry):
        """Open the barrier. It stays open."""


@implementer(IScale)
class Scale(Iterable):
    """A scale with a cable."""

    @staticmethod  # the bridge calls it as well
    def rounded(load, step):
        """
        Round a load.

        @param load: in kg
        @param step: to what
        @return: the load
        """
        return load // step * step

    def weigh(self, crate, attempts=1):
        """
        Weigh a crate.

        @param crate: what stands on it
        @return: its load in kg
        """
        return 1
