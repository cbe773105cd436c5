// Package press presses.
package press

import (
	"io"
	"net/http"
)

// Press is a press.
type Press struct{}

func (p *Press) Write(b []byte) (n int, err error) { return len(b), nil }

func (p *Press) Write2(b []byte) (n int, err error) { return len(b), nil }

func (p *Press) ReadFrom(r io.Reader) (int64, error) { return 0, nil }

func (p Press) Close() error { return nil }

func (p *Press) Set(value int) error { return nil }

func (p *Press) ServeHTTP(w http.ResponseWriter, r *http.Request) {}

func (p *Press) Pop() interface{} { return nil }

func (p *Press) Lock(key string) {}

func (p *Press) BlockSize() int { return 8 }

func (p *Press) Sum(b []byte) []byte { return b }

func (p *Press) Sum2(b []byte) []byte { return b }
