"""Stand, in words."""
