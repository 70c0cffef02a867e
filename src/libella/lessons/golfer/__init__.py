"""Golfers."""
