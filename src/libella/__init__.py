"""Libella: measuring, judging and keeping what a putting coach sees."""

__version__ = "0.1.0"
