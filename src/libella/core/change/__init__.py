"""Change: what is mended: the complaint, one change, its drill and plan."""
