"""Libella: measuring, judging and keeping what a putting coach sees."""
