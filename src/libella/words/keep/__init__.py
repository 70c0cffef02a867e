"""Keep, in words."""
