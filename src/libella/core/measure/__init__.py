"""What everything is measured in: angles, lengths, intervals, sides, windows, limits, and how a size is told."""
