"""The start command and the invented demo scenario."""
