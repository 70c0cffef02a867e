"""Aim, in words."""
