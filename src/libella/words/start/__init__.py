"""Start, in words."""
