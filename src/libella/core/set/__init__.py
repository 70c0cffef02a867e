"""Set: the putt, its rig, what lies beside it, the proof of the line."""
