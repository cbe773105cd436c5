package route

// Plan plans a route.
func Plan(stops []string) {
	// FIXME: the ferry
	sort(stops)
	// drive(stops, 3)
	start(stops)
}
