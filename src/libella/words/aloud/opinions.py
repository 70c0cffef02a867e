"""What is said of opinions."""

from ..opinions.held import HELD, OPINIONS
from .reading import Reading


def opinions_aloud(it: Reading) -> None:
    """Each with the value that counts, in the units spoken."""
    said = [f"{one.name}: {one.value_said(it.units)}." for one in OPINIONS]
    it.note("keep", "opinions", said)
    it.in_units[it.units].update((one, None) for one in said)
    it.note("keep", "opinions_held", [who for _, who in HELD.values()])
