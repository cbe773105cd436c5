//go:build linux

// Package deliveries plans routes.
package deliveries

import "errors"

// Plan returns the stops of a route.
//
//go:noinline
func Plan(crates []Crate, limit int) (stops []Stop, err error) {
	return nil, errors.New("none")
}

// Weigh is parted by an empty line.

func Weigh(a, b float64) float64 { return a + b }

func Load(int, ...string) {}

//nolint:unused
func Skip() {}

func hidden() {}
