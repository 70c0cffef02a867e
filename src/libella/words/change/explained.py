"""Whatever is told of a golfer over the lessons, opened, in words."""

from collections.abc import Sequence
from datetime import datetime
from typing import Final

from ...core.change.retest import Retest, Tested
from ...core.course.explained import AT_M, Lever, OutlookExplained
from ...core.golfer.hand import Hand
from ...core.judge.explained.line import LineExplained
from ...core.judge.golfers_line import GolfersLine, Stepped
from ...core.judge.share_line import ShareLine
from ...core.measure.units import Units, roughly, tape
from ...core.start.turns import Outcome
from ..judge.claims import category_name, side_name, sized
from ..judge.explained.claim import plain, rule_said
from ..judge.explained.opened import OpenedWords, ReadingWords, signed
from ..judge.golfers_line import line_name, line_words, rest_said, share_line_name, share_line_words
from ..shared.counts import counted
from ..shared.days import day_after, day_said
from . import chance
from .change import gain_said, standing_said

_FINE: Final = 0.05
_LEVERS: Final[dict[Lever, str]] = {
    "nothing_off": "Were nothing off in where they start",
    "steadier": "Were the starts a fifth less scattered",
    "roll_alike": "Did the putts end half as scattered past the hole",
    "read_right": "Were every read right",
}


def line_opened(it: LineExplained, others: Sequence[str], since: datetime, hand: Hand, units: Units) -> OpenedWords:
    """A golfer's line; `others`: lines of the same that are told by themselves; `since`: its first day."""
    about, unit, line = it.line.quantity, it.line.quantity.unit, it.line

    before = f"{plain(it.prior.bias_sd, unit, units)} either side of {plain(it.prior.bias_mean, unit, units)}"
    sums = [
        f"Before any lesson its middle is believed within {before}, one standard deviation.",
        "Every block counts by how well it is known; what blocks of one laying or one device share, they share here.",
        *(_together_said(line, hand, units) if line.has_middle else ()),
        *(_step_said(one) for one in line.steps),
    ]
    return OpenedWords(
        name=line_name(line, units),
        says=line_words(line, hand, units),
        rests=f"It rests on {counted(line.readings, 'reading')} in {counted(line.lessons, 'lesson')}.",
        readings=tuple(
            ReadingWords(
                f"{day_after(since, one.block.day)}: {rest_said(one, about, hand, units)}",
                1.0,
                one.place,
                f"{n}",
                str(one.block.lesson),
            )
            for n, one in enumerate(it.rests)
        ),
        left_out=tuple(f"Told by itself, not here: {name}." for name in others),
        sums=tuple(sums),
        moves=tuple(
            f"Without the lesson of {day_after(since, one.day)} it would lie {plain(abs(one.by), unit, units)} "
            f"{side_name(about, one.by, hand) or 'further out'} of where it does."
            for one in it.moves[:3]
            if plain(abs(one.by), unit, units) != plain(0.0, unit, units)
        ),
    )


def _together_said(it: GolfersLine, hand: Hand, units: Units) -> tuple[str, ...]:
    about, doubt = it.quantity, plain(it.now.doubt, it.quantity.unit, units)
    return (
        f"Single blocks lie about {plain(it.between, about.unit, units)} from the level, and the level itself wanders: "
        "the newest count most.",
        f"Together now {sized(about, it.now.value, _FINE, hand, units)}, nine times in ten within {doubt}.",
    )


def share_opened(it: ShareLine, others: Sequence[str], since: datetime) -> OpenedWords:
    """How often something is so; `others`: the same noted in other ways; `since`: the day from which its days count."""
    wanted = category_name(it.quantity.name, it.told)
    of = sum(one.stands_for for one in it.lessons)
    sums = [
        "Before any lesson every share is believed alike.",
        f"Days differ: {it.of} readings of {counted(len(it.lessons), 'lesson')} count as {of:.1f} that had nothing in "
        "common.",
        f"Together {wanted}: {it.now.value:.0f} of a hundred ({it.now.low:.0f} to {it.now.high:.0f}, nine times in "
        "ten).",
    ]
    if it.moved is not None and it.moved.grounds is not None:
        by = it.moved.grounds
        more, fewer, small = (f"{100 * one:.0f}" for one in (by.right, by.left, by.small))
        sums.append(
            f"That the newest lesson has it oftener by enough to matter: {more} in a hundred; less often: {fewer}; too "
            f"little to matter: {small}. {rule_said(it.moved)}"
        )
    return OpenedWords(
        name=share_line_name(it),
        says=share_line_words(it),
        rests=f"It rests on {counted(it.of, 'reading')} in {counted(len(it.lessons), 'lesson')}.",
        readings=tuple(
            ReadingWords(
                f"{day_after(since, one.day)}: {one.share.times} of {one.share.of} {wanted}",
                1.0,
                one.place,
                f"{n}",
                one.lesson,
            )
            for n, one in enumerate(reversed(it.lessons))
        ),
        left_out=tuple(f"Told by itself, not here: {name}." for name in others),
        sums=tuple(sums),
        moves=("Another day tells more than more readings of one day.",),
    )


def outlook_opened(it: OutlookExplained, starts: int, units: Units) -> OpenedWords:
    """What may be expected on the course; `starts`: how many putts it is told from."""
    found, at = it.outlook, tape(AT_M, units)
    reads = f"from {counted(found.reads, 'read')}" if found.reads else "an opinion"
    rolls = f"from {counted(found.finishes, 'putt')}" if found.finishes else "an opinion"
    near = roughly(it.spread_m + it.grows * AT_M, units)
    opened = OpenedWords(
        name="What to expect",
        says=chance.chances_said(found, units),
        rests=chance.basis_said(found, starts, it.green, units),
        readings=(),
        left_out=(),
        sums=(
            f"Starts: {it.bias.value:.2f}° ({it.bias.low:.2f}° to {it.bias.high:.2f}°), right positive, as the "
            f"golfer’s line has them; scatter {it.spread.value:.2f}° ({it.spread.low:.2f}° to {it.spread.high:.2f}°).",
            f"Every read lies off by {found.read_deg:.2f}°, one standard deviation: {reads}.",
            f"Putts run {roughly(it.past_m, units)} past the hole, and from {at} they end within {near} of "
            f"that, one standard deviation: {rolls}.",
            "A putt is holed where it starts within what the hole takes at the pace it comes with; over all paces and "
            "starts that is the chance.",
            f"From {at} with the middle of each: {it.middle:.0f} of a hundred; over all that is not known of them: "
            f"{it.whole:.0f}.",
        ),
        moves=tuple(
            f"{_LEVERS[one.what]}: {abs(one.more):.0f} {'more' if one.more >= 0 else 'fewer'} of a hundred from {at}."
            for one in it.moves
        ),
    )
    return signed(opened)


def change_opened(
    what: str, tested: Tested, asks: Outcome, beside: Sequence[str], where: Sequence[tuple[str, datetime, str]]
) -> OpenedWords:
    """Where a change stands; `where`: each retest's id, when it was, and its lesson."""
    told = {one.id: one for one in tested.retests}
    putted = [(id, at, lesson) for id, at, lesson in where if id in told]
    rows = [
        ReadingWords(f"{day_said(at)}: {gain_said(told[id], asks)}", 1.0, None, id, lesson) for id, at, lesson in putted
    ]
    both = tested.together
    sums = [f"{day_said(at)}. {_grounds_said(told[id])}" for id, at, _ in putted]
    if both is not None:
        sums.append(f"All together, each by how well it is known: {gain_said(both, asks)} {_grounds_said(both)}")
    return OpenedWords(
        name=what,
        says=standing_said(tested, asks, beside),
        rests=f"It rests on {counted(len(rows), 'retest')}, as usual against changed, in turns.",
        readings=tuple(rows),
        left_out=("A retest that is not putted to its end decides nothing.",)
        if any(not one.final for one in tested.retests)
        else (),
        sums=tuple(sums),
        moves=("Better so far after one retest that is at least likely; kept after two that together are clear.",),
    )


def _step_said(it: Stepped) -> str:
    by = it.call.grounds
    if by is None:
        return f"Since “{it.change.words}”: {rule_said(it.call)}"
    chances = f"{100 * max(by.right, by.left):.0f} in a hundred; that it did not: {100 * by.small:.0f}"
    return f"That it stepped by enough to matter since “{it.change.words}”: {chances}. {rule_said(it.call)}"


def _grounds_said(it: Retest) -> str:
    by = it.call.grounds
    if by is None:
        return rule_said(it.call)
    more, fewer, small = (f"{100 * one:.0f}" for one in (by.right, by.left, by.small))
    chances = f"{more} in a hundred; that it harms: {fewer}; neither: {small}"
    return f"That it helps by enough to matter: {chances}. {rule_said(it.call)}"
