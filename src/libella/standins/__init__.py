"""Stand-ins for outside devices: programs of their own that know only the message format and the simulated golfer."""
