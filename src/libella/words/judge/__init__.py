"""Judge, in words."""
