from dataclasses import dataclass


@dataclass(frozen=True)
class Sample:
    """A sample.

    Args:
        vat: which one
        sugr: in degrees
    """

    vat: str
    sugar: float = 0.0
    """Attribute string."""
    count: ClassVar[int] = 0
    _cache: dict = field(init=False)


@attr.s(frozen=True)
class Barrel:
    """A barrel.

    Args:
        cellar: where it lies
        oak: where the oak grew
        year: when it was made
        staves: how many
    """

    cellar = attr.ib()
    _oak: str = attr.ib(default="here")
    year = attr.ib(factory=int)
    hoops = attr.ib(init=False)
    COUNT = 12


@dataclass
class LateBarrel(Barrel):
    """A barrel that came late.

    Args:
        cellar: where it lies
        month: when it came
        wek: of the month
    """

    month: int = 0
