"""Start: putts and what is noted of them, turns, pauses, rungs."""
