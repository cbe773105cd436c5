def f(x: int, y="a", z=1.5) -> int:
	return 1


def g(x, y):
	"""
	Do it.

	Parameters
	----------
	x : int
		One.
	"""
	return 1
