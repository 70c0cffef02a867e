"""Stand: how the golfer stands."""
