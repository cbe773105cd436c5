class Press(Machine):
    """Press crates.

    Parameters
    ----------
    load : float
        What is pressed, in kg.

    lode : float
        A second load.

    %(attributes)s

    crates_ : list
        What was pressed.

    See Also
    --------
    Scale
    """

    def __init__(self, load):
        self.load = load
