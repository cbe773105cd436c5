/*
Package routes plans the rounds of the lorries.

It knows crates and growers.
*/
package routes

// Plan returns the stops.
//
// Deprecated: use [Round] instead.
func Plan(crates []string) []string { return nil }

// Deprecated: no longer driven.
type Lorry struct{}

// Round drives.
func Round(crates ...string) (stops int, err error) { return 0, nil }
