"""What is said of opinions."""

from ...core.opinions.every import every_opinion
from ...core.opinions.held import NOTHING_HELD, held_of
from ..opinions.held import BESIDES, OPINIONS, held_said
from ..opinions.number import part_name, version_said, whose_said
from .reading import Reading


def opinions_aloud(it: Reading) -> None:
    """Each with the value that counts, in the units spoken; each of its numbers; each as it was held once."""
    known = every_opinion()
    it.note("keep", "opinions_besides", [said for _, said in BESIDES.values() if said])
    for one in OPINIONS:
        numbers = known[one.opinion].numbers
        told = {at: number.most for at, number in numbers.items()}
        held = held_of(known, [(one.opinion, told)])
        said = [
            f"{one.name}: {one.value_said(NOTHING_HELD, it.units)}.",
            f"{one.name}: {version_said(one.opinion, told, it.units)}.",
            *held_said(held, it.units),
        ]
        it.note("keep", "opinions", said)
        it.in_units[it.units].update((sentence, None) for sentence in said)
        it.note("keep", "opinions_parts", [part_name(one.opinion, at) for at in numbers])
    it.note("keep", "opinions_whose", [whose_said("", ""), whose_said("club", ""), whose_said("", "Ada Example")])
