"""Teaching drawings: one thing a coach explains, moved with a finger while the golfer watches."""
