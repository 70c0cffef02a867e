"""Change, in words."""
