"""How often something is so, over a golfer's lessons: what was noted in words, told over time."""

from collections.abc import Sequence
from dataclasses import dataclass, replace
from typing import Final

from ..certainty.estimate import Estimate
from ..certainty.matter import MATTERS
from ..certainty.verdict import Verdict, weigh
from ..estimate.shares import NONE_TOLD, Share, apart
from ..opinions.held import Opinion
from ..start.notes import parts_of
from .claims.share import share_estimate, share_of
from .golfers_line import LineKey
from .ledger.entry import Batch
from .ledger.factors import Levels
from .ledger.place import Place
from .ledger.quantity import Quantity, names, quantity

SHARES: Final[tuple[str, ...]] = tuple(
    it for it in names() if quantity(it).kind == "share" and quantity(it).event != "set_up"
)
"""The quantities that have one: every share but the words of a set-up, which Stand sets side by side itself."""
_ALIKE: Final = Opinion("days_differ", 0.05, "share")
"""How far the readings of one lesson are alike beyond their share: days differ. An opinion."""


@dataclass(frozen=True, slots=True)
class LessonShare:
    """How often in one lesson: its day, counted as batches count theirs, where it was noted first, and for how many
    readings it stands, days being apart."""

    day: float
    lesson: str
    place: Place
    share: Share

    @property
    def stands_for(self) -> float:
        return self.share.of / (1 + _ALIKE() * (self.share.of - 1))


@dataclass(frozen=True, slots=True)
class ShareLine:
    """The share of one category over the lessons.

    Attributes
    ----------
    told : the category wanted, else the commonest of all lessons
    lessons : how often in how many, lesson by lesson, oldest first
    now : in a hundred, with its 90 % interval; a day counts for less than its readings would alone
    moved : whether it is oftener so ("right") in the newest lesson than before; None of one lesson
    """

    quantity: Quantity
    levels: Levels
    told: str
    lessons: tuple[LessonShare, ...]
    now: Estimate
    moved: Verdict | None

    @property
    def times(self) -> int:
        return sum(it.share.times for it in self.lessons)

    @property
    def of(self) -> int:
        return sum(it.share.of for it in self.lessons)

    @property
    def key(self) -> str:
        """What opens it."""
        return f"share:{LineKey(self.quantity.name, self.levels).text}"


def share_line(batches: Sequence[Batch], name: str, levels: Levels) -> ShareLine | None:
    """The share of a quantity over the lessons its batches are of, oldest first; None where nothing was noted."""
    whole = share_of(batches, name, levels)
    # Of putts that fell nothing is short or past.
    if whole is None or (name == "stopped" and whole.told == "holed"):
        return None
    lessons: dict[str, LessonShare] = {}
    for it in batches:
        noted = it.noted(name)
        if not noted:
            continue
        before = lessons.get(it.lesson) or LessonShare(it.day, it.lesson, it.place, NONE_TOLD)
        times = before.share.times + sum(whole.told in parts_of(one) for one in noted)
        lessons[it.lesson] = replace(before, share=Share(times, before.share.of + len(noted)))
    told = tuple(lessons.values())
    times = sum(it.stands_for * it.share.times / it.share.of for it in told)
    of = sum(it.stands_for for it in told)
    return ShareLine(whole.quantity, levels, whole.told, told, share_estimate(times, of), _moved(told))


def _moved(told: Sequence[LessonShare]) -> Verdict | None:
    if len(told) < 2:
        return None
    *earlier, last = (it.share for it in told)
    matter = MATTERS()["share"]
    before = Share(sum(it.times for it in earlier), sum(it.of for it in earlier))
    found = apart(before, last, matter.matters_from, matter.nothing_under)
    return weigh(found.more, found.less, found.small)
