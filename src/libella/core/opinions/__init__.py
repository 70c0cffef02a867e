"""Numbers that are opinions: as they stand, and as a coach holds them."""
