"""See: where the eyes are, what looks straight, the map of it."""
