"""Judge: blocks and comparisons judged, and what stands behind it."""
