package harbour

// Gate lets piles in.
type Gate struct{}

// Open lets the next one in, as [*Gate.Open] and [Gate.Open] say.
func (g *Gate) Open() {}
