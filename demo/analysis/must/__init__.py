"""What the laboratory finds in the must."""

from .sugar import brix_to_oechsle, mean

__all__ = ["brix_to_oechsle", "mean"]
