"""Sugar of the must. This part of the laboratory writes indented sections."""

from dataclasses import dataclass


@dataclass(frozen=True)
class Sample:
    """A sample of must.

    Args:
        vat: the vat it was drawn from
        brix: the sugar, in degrees Brix
        temprature: when it was drawn, in degrees Celsius
    """

    vat: str
    brix: float
    temperature: float = 15.0


def brix_to_oechsle(brix: float, decimals: int = 0) -> float:
    """Convert a sugar content.

    Args:
        brix (str): the sugar, in degrees Brix
        decimals: how many digits to keep

    Returns:
        float: the sugar, in degrees Oechsle
    """
    return round(brix * 4.25, decimals)


def mean(samples, weights=None):
    """Average the sugar of samples.

    Args:
        samples: the samples, at least one
        weights (list, optional): the loads they stand for, in kg

    Raises:
        ValueError: if there is no sample
    """
    if not samples:
        raise ValueError("no sample")
    if weights and len(weights) != len(samples):
        raise WeightError(len(weights))
    return sum(sample.brix for sample in samples) / len(samples)


class WeightError(Exception):
    """The weights do not fit the samples."""


def ripe(samples, threshold=18.0, **limits):
    """Pick the samples that are ripe.

    Args:
        samples: the samples
        threshold: the least sugar, in degrees Brix
        riesling: another threshold for this grape

    Yields:
        each ripe sample
    """
    for sample in samples:
        if sample.brix >= limits.get(sample.vat, threshold):
            yield sample


def pairs(samples):
    """Walk through neighbouring samples.

    Args:
        samples: the samples, in the order they were drawn
    """
    yield from zip(samples, samples[1:])


def sweetest(samples) -> Sample:
    """Find the sample with the most sugar.

    Args:
        samples: the samples, at least one

    Returns:
        the sample
    """
    return max(samples, key=lambda sample: sample.brix)


def count(samples) -> int:
    """Count the samples of a season.

    Args:
        samples: the samples

    Returns:
        str: how many there are
    """
    return len(samples)


def sort(samples):
    """Put samples in order of their sugar.

    Args:
        samples: the samples; they are sorted in place

    Yields:
        the samples, the driest first
    """
    samples.sort(key=lambda sample: sample.brix)


def chart(samples):
    """Draw the samples.

    Args:
        samples: the samples

    Returns:
        the chart
    """
    for sample in samples:
        print("#" * int(sample.brix))


# Forgets all samples of the season.
def clear(store):
    store.clear()


def label(sample):
    """"""
    return f"{sample.vat}: {sample.brix}"
