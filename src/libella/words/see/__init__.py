"""See, in words."""
