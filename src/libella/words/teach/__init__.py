"""Teaching drawings, in words."""
