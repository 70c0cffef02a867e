"""Start: blocks of putts, planned comparisons, sensors and their strokes, pauses."""
