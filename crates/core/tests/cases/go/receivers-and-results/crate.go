package deliveries

// Crate holds grapes.
type Crate struct {
	// Tag names it.
	Tag    string
	Weight float64 // in kg
	owner  string
}

// Lift takes it up.
func (c *Crate) Lift(by int) {}

func (c Crate) String() string { return c.Tag }

func (l list[T]) Len() int { return 0 }

func (l list[T]) Push(item T, _ bool) {}

type list[T any] struct{}

// Carrier carries.
type Carrier interface {
	// Carry moves a crate.
	Carry(c Crate) (ok bool)
	Drop(c Crate)
}
