"""Keep: what is taken home: cards and prints."""
