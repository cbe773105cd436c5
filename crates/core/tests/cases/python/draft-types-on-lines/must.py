def density(sample: float, warm: bool = False) -> float:
    """Density of a sample.

    :param sample: weight in g
    :type sample: float
    :param warm: whether it stands warm
    :type warm: bool
    :return: the density in g/ml
    :rtype: float
    """
    return sample


def sugar(density: float, temperature=20.0) -> float:
    return density * temperature
