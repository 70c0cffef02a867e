"""Set: stations laid, saved and proved; the bag."""
