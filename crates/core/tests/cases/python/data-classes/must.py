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
