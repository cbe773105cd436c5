// Package yard weighs what comes in.
package yard

// A Clock tells the time.
type Clock interface {
	Time() int
}

// A Press presses. Squeeze squeezes what lies in it, Empty empties it.
type Press interface {
	Squeeze(bars int) error
	Empty()
	Rinse()
}

type Gauge interface {
	Read() int
}

// Keeper keeps loads.
type Keeper struct {
	Load int
}

func (k *Keeper) Keep() {}
