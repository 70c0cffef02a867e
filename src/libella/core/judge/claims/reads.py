"""Everything that was read, as claims: each quantity, each way in which it was read."""

import math
from collections.abc import Callable, Sequence
from dataclasses import dataclass
from typing import Final

from ...certainty.estimate import Estimate, estimated
from ...measure.interval import Interval
from ..ledger.entry import Batch, Ledger
from ..ledger.factors import Levels, joined, moving
from ..ledger.lengths import length_among, length_level, lengths_of
from ..ledger.quantity import names, quantity
from .difference import Difference, Group, differences
from .level import Level, Weighing, level_of, noise_of, post_of
from .share import ShareOf, share_of

_OUT: Final = 3.2
"""Readings further from the middle than so many spreads are told with and without."""
_FEWEST_OUT: Final = 6
_DOSES: Final = ("eyes_inside", "eyes_behind", "eye_line")
_BECOMES: Final = ("holed", "missed_side", "stopped")
Claim = Level | ShareOf
LevelOf = Callable[[Sequence[Batch], str, Levels, Weighing], Level | None]


def reads(ledger: Ledger, by: Weighing, *, grows: bool = False, level: LevelOf = level_of) -> tuple[Claim, ...]:
    """A claim for every quantity read and every way in which it was read; as usual first.

    `grows`: the starts go with the length, and there is no one start over all of them; `level`: what works a level out.
    """
    order = {name: n for n, name in enumerate(names())}
    found: list[Claim] = []
    for name in sorted(ledger.quantities, key=lambda it: order.get(it, len(order))):
        groups = by_length(ledger.of(name)) if name == "start" and grows else ledger.groups(name)
        for levels in sorted(groups, key=len):
            one = claim_of(groups[levels], name, levels, by, level)
            if one is not None:
                found.append(one)
    return tuple(found)


def by_length(batches: Sequence[Batch]) -> dict[Levels, list[Batch]]:
    """Starts by the length putted, too: a length is a way of its own once the error goes with it."""
    found: dict[Levels, list[Batch]] = {}
    lengths = lengths_of(batches)
    for it in batches:
        levels = moving(it.levels, quantity("start").movers)
        length = length_among(it, lengths)
        if length is not None:
            levels = joined(levels, [("length", length_level(length))])
        found.setdefault(levels, []).append(it)
    return dict(sorted(found.items(), key=lambda it: float(dict(it[0]).get("length", 0.0))))


def claim_of(
    batches: Sequence[Batch], name: str, levels: Levels, by: Weighing, level: LevelOf = level_of
) -> Claim | None:
    """One of them; None where nothing of it was read."""
    if quantity(name).kind == "share":
        found = share_of(batches, name, levels)
        # Of putts that all fell nothing is short or past.
        only_holed = name == "stopped" and found is not None and not (found.times("short") or found.times("past"))
        return None if only_holed else found
    return level(batches, name, levels, by)


@dataclass(frozen=True)
class Compared:
    """One comparison: its first condition against each of the others, in everything that was read of both.

    Attributes
    ----------
    question : the one it was planned for, a quantity and what of it; `final` once all of it was read
    factor : what the conditions differ in, as told by their levels
    """

    id: str
    of: str
    question: str
    final: bool
    first: Group
    others: tuple[tuple[Group, tuple[Difference, ...]], ...]

    @property
    def named(self) -> tuple[tuple[Group, Difference], ...]:
        """What any of it says, the surest first; of the same word what it was planned for."""
        asked = asked_of(self.question, self.of)
        found = [(group, one) for group, all_ in self.others for one in all_ if one.is_named]
        return tuple(
            sorted(
                found,
                # What was varied is the dose of what it brings, and is told after it.
                key=lambda it: (
                    is_dose(it[1], self),
                    -(it[1].strongest >= 0.95),
                    # What a putt does before what becomes of it.
                    it[1].quantity.name in _BECOMES,
                    it[1].quantity.name != asked,
                    -it[1].strongest,
                ),
            )
        )


def is_dose(it: Difference, of: Compared) -> bool:
    """Whether it tells how far what was varied was varied: where the head is moved, where the eyes lie."""
    return it.quantity.name in _DOSES and of.of == "see"


def asked_in(told: Sequence[Difference], whole: Compared) -> Difference | None:
    """The one of a condition's differences that its comparison asked about; None where it was not read in both."""
    asked = next((it for it in told if it.quantity.name == asked_of(whole.question, whole.of)), None)
    if asked is None and whole.of == "aim" and told:
        # Set down to be read against the ball's mark, say: that is the aim that was asked about.
        return told[0]
    return asked


def asked_of(question: str, of: str) -> str:
    """The quantity that a comparison's question is about."""
    by_name = {
        "roll": "roll", "still": "still", "touch": "touch", "strike": "strike", "finish": "holed", "face": "impact",
        "path": "path",
    }  # fmt: skip
    return by_name.get(question, {"start": "start", "aim": "face"}.get(of, "eyes_inside"))


def compared(ledger: Ledger, id: str, of: str, question: str, by: Weighing, *, final: bool) -> Compared | None:
    """A comparison of the lesson; None before two of its conditions were read."""
    arms = sorted((it for it in ledger.batches if it.comparison == id), key=lambda it: it.turn)
    groups = [group_of(it) for it in arms]
    if len(groups) < 2:
        return None
    first, *others = groups
    told = tuple((it, differences(first, it, by, among=len(others))) for it in others)
    return Compared(id, of, question, final, first, told)


def group_of(batch: Batch) -> Group:
    """A block or series by itself."""
    return Group(batch.label, (batch,), batch.levels)


@dataclass(frozen=True, slots=True)
class Outliers:
    """Readings far off the others, kept: so many of so many, the level with them and without them."""

    level: Level
    times: int
    without: Estimate


def outliers(level: Level, batches: Sequence[Batch]) -> Outliers | None:
    """None where none lies far off. A zone that reaches so far is no mishit for it."""
    if level.raw is None or level.spread is None or level.count < _FEWEST_OUT or level.quantity.prior is None:
        return None
    told = [it for it in batches if it.id in level.batches]
    middle, far = level.raw.bias_quantile(0.5), _OUT * math.hypot(level.spread.value, level.raw.noise)

    def is_far(it: Interval) -> bool:
        narrow = math.isfinite(it.low) and math.isfinite(it.high) and it.high - it.low < far
        return narrow and (it.low - middle > far or middle - it.high > far)

    kept = [it for it in level.readings if not is_far(it)]
    out = level.count - len(kept)
    # More than a few are no mishits, they are the spread.
    if not out or out > level.count // 4:
        kept = _one_far(level)
        out = level.count - len(kept)
    if not out:
        return None
    noise = noise_of(told, level.quantity.name)
    post = post_of([*kept, *level.implied], level.quantity.prior, noise)
    return Outliers(level, out, estimated(post.blurred(level.shared).bias_quantile))


def _one_far(level: Level) -> list[Interval]:
    """Without the one reading that lies furthest off, where it lies far from all the others for their own scatter."""
    finite = [it for it in level.readings if math.isfinite(it.low) and math.isfinite(it.high)]
    if len(finite) < level.count or level.count < _FEWEST_OUT:
        return list(level.readings)
    at = sorted(finite, key=lambda it: it.anchor)
    for out, rest in ((at[0], at[1:]), (at[-1], at[:-1])):
        middles = [it.anchor for it in rest]
        mean = sum(middles) / len(middles)
        sd = math.sqrt(sum((it - mean) ** 2 for it in middles) / (len(middles) - 1)) or 0.01
        width = max(it.high - it.low for it in at)
        if abs(out.anchor - mean) > max(_OUT * sd, 2 * width) and abs(out.anchor - mean) > 2.0:
            return [it for it in level.readings if it is not out]
    return list(level.readings)
