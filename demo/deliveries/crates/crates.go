// Package crates counts the crates that are out with customers.
package crates

import (
	"errors"
	"fmt"
)

// ErrUnknown is given back for a tag that nobody has seen.
var ErrUnknown = errors.New("crates: unknown tag")

// A Crate is one wooden crate with its tag.
type Crate struct {
	Tag    string // as printed
	Bottle int    // how many bottles it holds
}

// Yard knows where every crate is.
type Yard struct {
	out map[string]string
}

// NewYard makes a yard in which every crate is home.
func NewYard() *Yard {
	return &Yard{out: map[string]string{}}
}

// Send notes that a crate went to a customer.
func (y *Yard) Send(tag, customer string) {
	y.out[tag] = customer
}

// Where tells who has a crate.
func (y *Yard) Where(tag string) (customer string, err error) {
	customer, ok := y.out[tag]
	if !ok {
		return "", fmt.Errorf("%w: %s", ErrUnknown, tag)
	}
	return customer, nil
}

// Return brings a crate home.
//
// Deprecated: use Receive, which counts the bottles.
func (y *Yard) Return(tag string) {
	delete(y.out, tag)
}

// Receive brings a crate home and counts its bottles.

func (y *Yard) Receive(crate Crate) int {
	delete(y.out, crate.Tag)
	return crate.Bottle
}

//go:noinline
func (y *Yard) Missing() int { return len(y.out) }
