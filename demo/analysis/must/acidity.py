"""Acidity of the must. This part of the laboratory underlines its headings."""


class Titration:
    """A titration of one sample.

    Parameters
    ----------
    volume : float
        The volume of the sample, in ml.
    base : float, default 0.2
        The strength of the base, in mol per litre.

    Attributes
    ----------
    drops : list
        What was added so far, in ml.
    """

    def __init__(self, volume, base=0.1, indicator="blue"):
        self.volume = volume
        self.base = base
        self.indicator = indicator
        self.drops = []

    def add(self, millilitres, stir=True):
        """Add base to the sample.

        Parameters
        ----------
        stir : bool, optional
            Whether to stir afterwards.
        millilitres : float
            How much to add.

        Returns
        -------
        bool
            Whether the colour turned.
        """
        if millilitres <= 0:
            raise ValueError("nothing to add")
        self.drops.append(millilitres)
        return sum(self.drops) > self.volume / 10

    def acidity(self, digits):
        """Tell the acidity.

        Parameters
        ----------
        digits : int, optional
            How many digits to keep.

        Returns
        -------
        float
            In g of tartaric acid per litre.
        """
        return round(sum(self.drops) * self.base * 75 / self.volume, digits)

    @property
    def finished(self):
        """Whether the colour turned."""
        return bool(self.drops)

    def blend(self, other, share):
        """Blend with another sample.

        Paramters
        ---------
        other : Acidity
            What is added.
        share : float
            How much of the whole is the other.
        """
        self.drops.extend(drop * share for drop in other.drops)

    def reset(self):
        """Start anew.

        >>> sample.reset(

        Returns
        -------
        None
        """
        self.drops.clear()
