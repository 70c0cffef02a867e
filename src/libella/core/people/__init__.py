"""Who comes in, and what each may do."""
