"""What is said where something can't be."""

import re
from typing import Final

from ...core.measure.limits import Bounds, Fact, OutOfLimits, Size
from ..refusals import CONFLICTS, REFUSALS, THINGS, conflict_words, not_found_words, refusal_words
from .reading import Reading

_PLACEHOLDER: Final = re.compile(r"{(\w+)}")


def refusals_aloud(it: Reading) -> None:
    bounds = Bounds(0.0437, 0.3, "m")
    inner = OutOfLimits("inside_width_m", "out_of_bounds", "m", of="step_m", value=0.03, bounds=bounds)
    for code, template in REFUSALS.items():
        names = set(_PLACEHOLDER.findall(" ".join(template))) - {"why_limit"}
        facts: dict[str, Fact] = {name: _sample(name, bounds, inner) for name in names}
        it.say("refusals", refusal_words, OutOfLimits("entry", code, "", **facts), it.units)
    for value in (0.03, -0.2, float("nan")):
        beyond = OutOfLimits("step_m", "out_of_bounds", "m", of="step_m", value=value, bounds=bounds)
        it.say("refusals", refusal_words, beyond, it.units)
    for one in (1, 99):
        counted = OutOfLimits("planned", "out_of_bounds", of="planned", value=one, bounds=Bounds(3, 40, "putts"))
        it.say("refusals", refusal_words, counted, it.units)
    for code, template in CONFLICTS.items():
        it.say("refusals", conflict_words, code, dict.fromkeys(_PLACEHOLDER.findall(" ".join(template)), 12))
    for what in THINGS:
        it.say("refusals", not_found_words, what)


def _sample(name: str, bounds: Bounds, inner: OutOfLimits) -> Fact:
    if name.endswith("_m"):
        return 0.35
    if name.endswith("_deg"):
        return 1.2
    samples: dict[str, Fact] = {
        "known": ("one", "another"), "options": ("one", "another"), "asks": (), "bounds": bounds, "apart": Size(0.21),
        "why": inner, "name": "Gate of pegs", "label": "Strike", "part": "stake", "quantity": "Face aim",
    }  # fmt: skip
    return samples.get(name, 3)
