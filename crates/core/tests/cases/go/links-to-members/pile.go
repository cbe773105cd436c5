// Package harbour moves piles.
package harbour

// Pile is many crates; see [Pile.Lower], [Pile.Lowr], [Pile.Lock], [Pile.Count] and [Gate.Opn].
type Pile struct {
	Base
	Count int
}

// Lower lowers all of them.
func (p *Pile) Lower() {}

// Base is what all piles stand on.
type Base struct{}

// Lock keeps it where it is.
func (b *Base) Lock() {}
