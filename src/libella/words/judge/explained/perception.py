"""Why the perception map says what it says, in words."""

from collections.abc import Sequence
from typing import Final

from ....core.certainty.verdict import CLEAR, LIKELY
from ....core.judge.ledger.place import Place
from ....core.measure.side import side_of
from ....core.measure.units import Units, about, fine_degrees, percent
from ....core.see.map import Tried
from ....core.see.map_explained import MapExplained, WithoutTest
from ....core.see.position import LEVERS
from ...see.map import map_words
from ...see.position import position_words
from ...shared.counts import counted
from .opened import OpenedWords, ReadingWords, signed

_TEN_MM_M: Final = 0.01
_TOLD: Final = 4


def map_opened(it: MapExplained, ids: Sequence[str], left_out: int, units: Units) -> OpenedWords:
    """The map's own sentence, or what one lever does; `ids`: of the tests, oldest first; `left_out`: shown tests asked
    under other conditions."""
    words, tried = map_words(it.map, units), it.map.tried
    told = [one for one in tried if one.tells]
    rows = [
        ReadingWords(f"{position_words(one.position, units)}: {_found_said(one)}", 1.0, Place("see", id), id)
        for one, id in zip(tried, ids, strict=True)
        if one.tells
    ]
    silent = len(tried) - len(told)
    left = [
        *(
            [f"Left out: {counted(silent, 'test')} whose answers contradict each other or are too few."]
            if silent
            else []
        ),
        *([f"Left out: {counted(left_out, 'test')} asked with other eyes, glasses or guide."] if left_out else []),
    ]
    opened = OpenedWords(
        name="The perception map" if it.lever is None else LEVERS[it.lever].name,
        says=f"{words.headline} {words.sure}"
        if it.lever is None
        else next(one.measured for one in words.effects if one.lever == it.lever),
        rests=f"It rests on {counted(len(told), 'test')}.",
        readings=tuple(reversed(rows)),
        left_out=tuple(left),
        sums=tuple(_sums_said(it, units)),
        moves=tuple(_without_said(one, tried[one.test], it, units) for one in it.without[:_TOLD]),
    )
    return signed(opened)


def _found_said(it: Tried) -> str:
    angle = it.found.angle
    return f"{_sided(angle.value)} ({_sided(angle.low)} to {_sided(angle.high)})"


def _sided(value: float) -> str:
    side = side_of(value, 0.005)
    return fine_degrees(0.0) if side == "neither" else f"{fine_degrees(abs(value))} {side}"


def _sums_said(it: MapExplained, units: Units) -> list[str]:
    said = [
        f"Before any test straight is believed to look true within {it.usual_sd:.2f}°, one standard deviation, and "
        "each thing that can be moved is as likely to do nothing as something."
    ]
    if it.lever is not None:
        about_ = LEVERS[it.lever]
        per, size = (10, about(_TEN_MM_M, 0.0, units)) if about_.unit == "mm" else (1, "1°")
        effect = next(one for one in it.map.effects if one.lever == it.lever)
        said += [
            f"If it does something: within {per * it.slope_sd:.2f}° by {size} {about_.plus}, one standard deviation.",
            f"With the tests: that it does something {percent(effect.matters)}; that, {about_.plus}, the line swings "
            f"right {percent(effect.left)}, left {percent(effect.right)}.",
        ]
    else:
        at = it.map.at({})
        said.append(f"With the tests: as usual {_sided(at.value)} ({_sided(at.low)} to {_sided(at.high)}).")
        if it.place:
            there = it.map.at(it.place)
            said.append(
                f"{position_words(it.place, units)}: {_sided(there.value)} ({_sided(there.low)} to "
                f"{_sided(there.high)}); that this is truer by enough to notice: {percent(it.chance or 0.0)}."
            )
        elif it.chance is not None:
            limit = fine_degrees(it.map.limit_deg)
            said.append(f"That it lies within ± {limit}, what matters here: {percent(it.chance)}.")
    said.append(f"Likely from {percent(LIKELY())}, clear from {percent(CLEAR())}.")
    return said


def _without_said(it: WithoutTest, test: Tried, opened: MapExplained, units: Units) -> str:
    where = position_words(test.position, units)
    if it.chance is None:
        return f"Without the test {where} nothing could be said of it."
    return f"Without the test {where}: {percent(it.chance)} in place of {percent(opened.chance or 0.0)}."
