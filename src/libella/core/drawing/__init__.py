"""Drawings: the same primitives for the screen, the report and the template."""
