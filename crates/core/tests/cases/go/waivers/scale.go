package press

// Weigh weighs a crate.
// vinequill: waive text.spelling -- it is a name
// It is recieved by the scale.
func Weigh(load int) int { return load }

// vinequill: waive comment.missing -- goes away soon
func Twice(load int) int { return load }
