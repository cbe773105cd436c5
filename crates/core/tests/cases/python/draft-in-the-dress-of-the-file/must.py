def density(sample: float, warm: bool = False) -> float:
    '''
    Density of a sample.

    Args:
        sample (float): weight in g
        warm (bool): whether it stands warm

    Returns:
        float: the density in g/ml
    '''
    return sample


def is_sweet(density: float) -> bool:
    '''
    Tell whether must of a density is sweet.
    '''
    return density > 1.08


def sugar(density: float, temperature=20.0) -> float:
    return density * temperature


def stop():
    pass
