"""Weighs crates."""


def mass(crate: object, unit: str = "kg", fine: bool = False) -> float:
    """Weigh a crate.

    crate (object): What stands on the scale.
    * `unit` - the unit of mass
    RETURNS (float): Its mass.
    """
    return 1.0


def level(scale: str, slowly: bool) -> float:
    """Level a scale.

    Args:
    * `scale`: what to level
    * `slowly`: whether to wait

    Returns:
    * `float` if it is level
    """
    return 1.0


def tip(scale: object) -> None:
    """Tip a scale.

    Parameters
    ----------
    scale : object, the scale to tip.

    Raises
    ------
    ValueError
    If it is empty.
    """
    if not scale:
        raise ValueError


class Scale:
    """Weighs."""

    def __init__(self, span: float):
        """
        Args:
            span: how far it reaches
        """


class Bare:
    def __init__(self, span: float):
        """
        Args:
            span: how far it reaches
        """


def heave(scale: object, unit: object) -> float:
    """Heave a scale.

    Parameters
    ----------
    scale: A scale to heave with the crane
    unit: list of float or None, optional

    Returns:
    float
    """
    return 1.0


def tip(crate: object, angle: float = 0.0) -> None:
    """
    Tip a crate into the press.

    :crate: what is tipped, see `heave()`
    :angle: How far to tip it?
            Never further than the press allows.
    """


def mark(across: float, along: float, radius: float, colour: str) -> None:
    """
    Mark a circle on the floor of the press hall.
    - (across, along): its middle
    - radius: how large it is
    """


def draw(crate: object, style: str, weight: Optional[float], colour: Optional[str] = None) -> None:
    """Draw a crate.

    Args:
        crate (Crate): what is drawn
        style (str): how it is drawn, one of
        * `D`: with its border
        * `F`: filled
        weight (float, optional): how thick
        colour (str, optional): its colour
    """


def plot(model: object, label: str, width: object) -> None:
    """
    Plot a model of the press.

    Parameters
    ----------
    model: Constructed model with features of the press
    label: an optional name below the plot
    width: list of float or None
    """
