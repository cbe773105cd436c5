// Package barn weighs.
package barn
// Barn is big.
type Barn[T any] struct{ Width int }
// Weigh weighs crates slowly.
func (b *Barn[T]) Weigh(crates ...T) (mass int, err error) { return 0, nil }
// Open opens one, or panics.
func Open[K comparable, V int | string](m map[K]V, f func(K) V) (*Barn[V], error) { return nil, nil }
