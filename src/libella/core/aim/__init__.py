"""Aim: where face and ball mark point at address."""
