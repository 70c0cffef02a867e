"""Keep: cards to go by, files of putts in."""
