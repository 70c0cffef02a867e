"""A golfer whose truth is known, through every step."""
