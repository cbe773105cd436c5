package crates

// Crate holds grapes.
type Crate struct {
	// Tag is printed on it.
	Tag string

	Weight, Tare float64 // in kg

	Base
	*Other

	handler func(a int, b string) error
}

// Store keeps crates.
type Store interface {
	// Put stores one.
	Put(c Crate, at int) error
	Get(tag string) (*Crate, bool)
	Base
}

type (
	// Slope is where it grew.
	Slope string
	Alias = Crate
)

// Limits of a crate.
const (
	Least = 1 // in kg
	// Most is the most.
	Most, Other2 = 2, 3
	hidden = 4
)

var Default, second = Crate{}, func(a int) {}
