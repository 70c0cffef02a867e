"""See: where the eyes are, and what looks straight from there."""
