"""How a golfer's set-ups are told apart in a lesson: by name, as the coach calls them."""

from typing import Final

AS_USUAL: Final = "as usual"
"""The set-up of a golfer of whom nothing else was said; what was kept before set-ups had names is of it."""
