// Package press weighs crates.
package press

func Weigh(load int) int { return load }
