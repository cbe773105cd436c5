//go:build linux && !arm

// +build linux

// Package gate reads tags.
package gate

import "C"

//go:generate stringer -type=Tag

// Tag is read at the gate.
//
//go:notinheap
type Tag int

//export ReadTag
func ReadTag(at int) Tag { return 0 }

//nolint:revive // short
func Open() {}

// Shut closes it.
//line gate.go:10
func Shut() {}
