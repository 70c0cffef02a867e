"""Stand: set-ups noted."""
