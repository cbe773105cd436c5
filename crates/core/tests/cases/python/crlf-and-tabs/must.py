def f(x, y):
	"""Tut es.

	Args:
		x: größer
	"""
	return 1
