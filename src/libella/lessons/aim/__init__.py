"""Aim: set-downs."""
