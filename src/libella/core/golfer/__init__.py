"""Who putts: the hand and the level."""
