"""Opinions: every number that nobody measured, on one page."""
