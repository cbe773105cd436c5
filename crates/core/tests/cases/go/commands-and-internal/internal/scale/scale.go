// Package scale is no other module's.
package scale

type Scale struct{ Load int }

func (s *Scale) Tare() {}
