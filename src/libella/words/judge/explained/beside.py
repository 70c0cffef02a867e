"""Why two of a golfer's lines are said to differ, or not, in words."""

from datetime import datetime
from typing import Final

from ....core.golfer.hand import Hand
from ....core.judge.explained.beside import BesideExplained
from ....core.judge.explained.line import LineExplained
from ....core.measure.units import Units
from ...shared.counts import counted
from ...shared.days import day_after
from ..claims import sized
from ..differences import further
from ..golfers_line import line_name, line_words, lines_said, more_blocks_said, rest_said
from .claim import plain, rule_said
from .opened import OpenedWords, ReadingWords, signed

_FINE: Final = 0.05


def beside_opened(it: BesideExplained, since: datetime, hand: Hand, units: Units) -> OpenedWords:
    """Two lines beside each other; `since`: the golfer's first day."""
    both, about = it.it, it.it.first.quantity
    unit = about.unit
    sums = [_line_said(one, hand, units) for one in it.each]
    if both.tells:
        sums.append(
            f"Between them: {plain(abs(both.by.value), unit, units)} {further(about, both.by.value, hand)}, nine times "
            f"in ten within {plain(both.by.doubt, unit, units)}: both doubts together, as if they shared nothing."
        )
    if (by := both.call.grounds) is not None:
        chance = f"{100 * max(by.right, by.left):.0f} in a hundred; too little to matter: {100 * by.small:.0f}"
        sums.append(f"That they differ that way by enough to matter: {chance}. {rule_said(both.call)}")
    if both.steadier is not None and (by := both.steadier.grounds) is not None:
        calmer, wider, alike = (f"{100 * one:.0f}" for one in (by.left, by.right, by.small))
        sums.append(
            f"That the second scatters less by enough to matter: {calmer} in a hundred; more: {wider}; too little to "
            f"matter: {alike}. {rule_said(both.steadier)}"
        )
    readings = sum(one.line.readings for one in it.each)
    return signed(
        OpenedWords(
            name=f"{line_name(both.first, units)}; {line_name(both.second, units)}",
            says=lines_said(both, hand, units),
            rests=f"It rests on {counted(readings, 'reading')}.",
            readings=tuple(
                ReadingWords(
                    f"{line_name(one.line, units)}, {day_after(since, rest.block.day)}: "
                    f"{rest_said(rest, about, hand, units)}",
                    1.0,
                    rest.place,
                    f"{which} {n}",
                    str(rest.block.lesson),
                )
                for which, one in zip(("first", "second"), it.each, strict=True)
                for n, rest in enumerate(one.rests)
            ),
            left_out=(),
            sums=tuple(sums),
            moves=(said,) if (said := more_blocks_said(both)) else (),
        )
    )


def _line_said(it: LineExplained, hand: Hand, units: Units) -> str:
    line, about = it.line, it.line.quantity
    if not line.has_middle:
        return f"{line_name(line, units)}: {line_words(line, hand, units)}"
    return (
        f"{line_name(line, units)}: {sized(about, line.now.value, _FINE, hand, units)}, nine times in ten within "
        f"{plain(line.now.doubt, about.unit, units)}, from {counted(line.readings, 'reading')} in "
        f"{counted(line.lessons, 'lesson')}."
    )
