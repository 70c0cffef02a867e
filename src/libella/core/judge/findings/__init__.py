"""Findings: what a lesson says is wrong, how sure, why, and what would settle it (handbook 6)."""
