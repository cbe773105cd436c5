// Press weighs what it is given.
package main

func Run(load int) int { return load }

func main() {}
