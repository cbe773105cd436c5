package press

// Wäge wiegt.
func Wäge(
	größe float64, // in kg, (or so)
	/* second */ b func(a, b int) (map[string][]int, error),
	c ...struct{ x, y int },
) (
	gewicht float64,
	err error,
) {
	return 0, nil
}

// Pair holds two.
func Pair[K comparable, V interface{ ~int | ~string }](k K, v V) {}

// Broken is.
func Broken(a int { }

// After comes later.
func After(a int) {}
