def weigh(*crate):
    """Weighs crates together.

    Parameters
    ----------
    crate1, crate2, crate3... : Crate
        What is weighed.
    """
