"""The green: how a ball slows and what the hole takes."""
