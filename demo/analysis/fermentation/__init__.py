"""How the must becomes wine."""
