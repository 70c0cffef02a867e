"""Set, in words."""
