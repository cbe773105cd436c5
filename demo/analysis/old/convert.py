"""Formulas of the old laboratory, taken out of a notebook."""

%matplotlib inline


def titre(drops):
    """Convert drops to a titre.

    Args:
        drops: as counted by hand

    Returns:
        in mol per litre
    """
    return drops * 0.05


def show(row):
    """Show a row."""
    print(row)
