package press

// Weigh weighs a crate.
func Weigh(load int) int { return load }

// A Scale weighs.
type Scale struct{}

// Weighs a crate twice.
func WeighTwice(load int) int { return load }
