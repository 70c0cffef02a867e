"""Pages that show several steps at once: the day, a lesson whole, golfers with their newest results."""
