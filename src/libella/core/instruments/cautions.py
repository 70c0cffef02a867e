"""Cautions that several instruments share (handbook 8)."""

from typing import Final

LASER: Final = (
    "Use the lowest laser class you can see; follow its label. Never at eye height, at people or out of the bay.",
    "Switch the laser off before anybody bends over it. Children only with an adult holding the switch.",
)
BEYOND_THE_HOLE: Final = "Nobody stands on the line beyond the hole to see where it ends."
"""Where a line is laid: it draws the eye, and the feet, to its end."""
MIRROR_AND_LASER: Final = (
    "A mirror, a polished head or a metal rod throws the beam up: no golfer's head in line while the laser is on."
)
