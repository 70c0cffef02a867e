"""Seen from outside: whether it lives and can keep, what it counts, what it says in its log, who asks too much."""
