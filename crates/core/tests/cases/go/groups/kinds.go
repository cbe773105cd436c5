package deliveries

// Kinds of crates.
const (
	// Small holds ten kilograms.
	Small = iota
	Large
)

var (
	Limit, Reserve = 10, 2
)

type (
	// Route is a list of stops.
	Route []string
	Stop  = string
)

// Old plans a route.
//
// Deprecated: use Plan.
func Old() {}

// Lift and Lower move it up and down.

func (c Crate) Lift() {}
func (c Crate) Lower() {}

// Tip empties it.

func (c Crate) Tip() {}
