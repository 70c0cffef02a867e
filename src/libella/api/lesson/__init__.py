"""Lessons, and what stands in one."""
