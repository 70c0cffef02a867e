"""How sure is sure enough, how much is enough to matter, and the one picture of both."""
