"""What is said of opinions."""

from ...core.opinions.every import every_opinion
from ...core.opinions.held import held_of
from ..opinions.held import BESIDES, OPINIONS, held_said
from ..opinions.number import number_said, numbers_said, part_name, version_said, whose_said
from .reading import Reading


def opinions_aloud(it: Reading) -> None:
    """Each with the value that counts, in the units spoken; each of its numbers; each as it was held once."""
    known = every_opinion()
    it.note("keep", "opinions", [one.name for one in OPINIONS])
    it.note("keep", "opinions_besides", [said for _, said in BESIDES.values() if said])
    for one in OPINIONS:
        numbers = known[one.opinion].numbers
        told = {at: number.most for at, number in numbers.items()}
        it.say("keep", numbers_said, numbers, it.units)
        it.say("keep", version_said, one.opinion, told, it.units)
        it.say("keep", held_said, held_of(known, [(one.opinion, told)]), it.units)
        for at, number in numbers.items():
            it.say("keep", part_name, one.opinion, at)
            it.say("keep", number_said, -number.value, number.unit, it.units)
    it.say("keep", version_said, OPINIONS[0].opinion, {}, it.units)
    for level, golfer in (("", ""), ("club", ""), ("", "Ada Example")):
        it.say("keep", whose_said, level, golfer)
