"""The golfer's line in words: where a link lies now, over how much, and what a noted change came to."""

from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.estimate.beyond import Beyond
from ...core.golfer.hand import Hand
from ...core.judge.explained.line import LineRest
from ...core.judge.golfers_line import GolfersLine, LineKey, Stepped
from ...core.judge.ledger.quantity import Quantity
from ...core.judge.lines_beside import MOST, LinesBeside
from ...core.judge.share_line import ShareLine
from ...core.measure.side import side_of
from ...core.measure.units import Units, tape
from ..shared.certainty import WORDS, open_said
from ..shared.counts import counted, listed
from .claims import between_said, category_name, levels_said, quantity_name, side_name, sides_said, size_said, sized
from .differences import further

_STEADY_DEG: Final = 0.05
_FEWEST_BETWEEN: Final = 3
"""Blocks below which how they differ among themselves is not told: it would be the prior."""


_TAKEN: Final = {"look": "look", "answer": "test", "set_down": "series"}
"""What readings were taken in, where that was no block of putts."""


def line_name(it: GolfersLine, units: Units) -> str:
    """Which line it is; of a joined one, all that is pooled in it."""
    return f"{quantity_name(it.quantity.name)}, {listed([levels_said(key.levels, units) for key in it.keys])}"


def key_name(it: LineKey, units: Units) -> str:
    """Which line it would be by itself."""
    return f"{quantity_name(it.name)}, {levels_said(it.levels, units)}"


def line_short(it: GolfersLine, units: Units) -> str:
    """Where it lies now, for a list of golfers."""
    lengths = [level for key in it.keys for factor, level in key.levels if factor == "length"]
    if lengths:
        return f"At {listed([tape(float(one), units) for one in lengths])} starts {_sided(it.now.value)} now."
    if it.sided is not None:
        return f"{open_said(it.sided, it.readings).capitalize()}, from {counted(len(it.blocks), 'block')}."
    if it.beyond is not None:
        least = (
            f"at least {_sided(it.beyond.edge)}" if abs(it.beyond.edge) >= _STEADY_DEG else f"to the {it.beyond.side}"
        )
        return f"Starts {least} now, from {counted(len(it.blocks), 'block')}."
    if it.zone is not None:
        return f"Starts within ± {it.zone:.1f}° so far, from {counted(len(it.blocks), 'block')}."
    return f"Starts {_sided(it.now.value)} now, from {counted(len(it.blocks), 'block')}."


def line_words(it: GolfersLine, hand: Hand, units: Units) -> str:
    """Where it lies now, with its interval, and what stands behind it."""
    now, about_ = it.now, it.quantity
    what = _TAKEN.get(about_.event, "block")
    # Each look is told for itself in its lesson; of putts it is the block that is told.
    times = it.readings if what == "look" else len(it.blocks)
    behind = f"From {counted(times, what)} in {counted(it.lessons, 'lesson')}"
    if len(it.blocks) >= _FEWEST_BETWEEN and it.has_middle:
        between = size_said(about_, it.between, 0.0, units)
        behind = f"{behind}; single {'blocks' if what == 'block' else 'ones'} lie about ± {between} from it"
    if it.sided is not None:
        sides = sides_said(about_, it.sided, hand)
        return f"Of {it.readings}: {sides}: {WORDS[it.sides_call.word]}. {behind}."
    if it.beyond is not None:
        least = _beyond_said(it.beyond, about_, hand, units)
        return f"{least[0].upper()}{least[1:]} now; how far, these readings can't say. {behind}."
    if it.zone is not None:
        within = size_said(about_, it.zone, 0.01, units)
        return f"All within ± {within} so far: these readings can't say it finer. {behind}."
    where = sized(about_, now.value, now.doubt if about_.unit == "deg" else 0.0, hand, units)
    if about_.unit == "deg" and about_.sides != "more" and abs(now.value) < _STEADY_DEG:
        where = "On the line"
    spread = "" if it.spread is None else f"; spread {size_said(about_, it.spread.value, 0.0, units)}"
    said = f"{where} now ({between_said(about_, now, hand, units)}, nine times in ten){spread}. {behind}."
    if it.moved is None:
        return said
    by = size_said(about_, it.moved.size.value, it.moved.size.doubt, units)
    way = further(about_, it.moved.size.value, hand)
    return f"{said} The newest lesson lies {by} {way} than before, clear: note what was changed, if anything was."


def _beyond_said(it: Beyond, about_: Quantity, hand: Hand, units: Units) -> str:
    side = side_name(about_, 1.0 if it.side == "right" else -1.0, hand)
    return f"at least {size_said(about_, it.edge, 0.01, units)} {side}" if it.edge else side


def rest_said(it: LineRest, about_: Quantity, hand: Hand, units: Units) -> str:
    """What one block tells of the line."""
    block, read = it.block, counted(it.block.count, "reading")
    if block.sided is not None:
        return sides_said(about_, block.sided, hand)
    if block.beyond is not None:
        return f"{_beyond_said(block.beyond, about_, hand, units)}, {read}"
    if block.zone is not None:
        return f"all within ± {size_said(about_, block.zone, 0.01, units)}, {read}"
    if it.mean is None:
        return f"too wide to say how far, {read}"
    doubt = size_said(about_, it.mean.doubt, 0.0, units)
    return f"{sized(about_, it.mean.value, _STEADY_DEG, hand, units)} (± {doubt}), {read}"


def _sided(value: float) -> str:
    return "on the line" if abs(value) < _STEADY_DEG else f"{abs(value):.1f}° {side_of(value)}"


def share_line_name(it: ShareLine) -> str:
    """What it is about, and how it was noted where that was not as usual."""
    return f"{quantity_name(it.quantity.name)}, {levels_said(it.levels)}"


def share_line_words(it: ShareLine) -> str:
    """How often, over the lessons, and whether the newest is otherwise."""
    wanted = category_name(it.quantity.name, it.told)
    said = f"{it.times} of {it.of} {wanted} in {counted(len(it.lessons), 'lesson')}"
    now = f"about {it.now.value:.0f} of a hundred now ({it.now.low:.0f} to {it.now.high:.0f}, nine times in ten)"
    if it.moved is None:
        return f"{said}; {now}."
    last = it.lessons[-1].share
    word = "no difference that matters" if it.moved.word == "none" else WORDS[it.moved.word]
    if it.moved.names_direction:
        word = f"{'oftener' if it.moved.side == 'right' else 'less often'} than before, {word}"
    return f"{said}; {now}. The newest lesson {last.times} of {last.of}: {word}."


def up_said(about_: Quantity, hand: Hand) -> str:
    """Which way up is on the drawing of its path."""
    return {"line": "right of the line", "eyes": "inside", "behind": "behind", "pace": "longer"}.get(
        about_.sides, "more" if about_.sides in ("more", "") else side_name(about_, 1.0, hand)
    )


def step_words(it: Stepped, about_: Quantity, hand: Hand, units: Units) -> str:
    """What a noted change came to."""
    name = it.change.words
    if it.call.word == "none":
        return f"Since “{name}”: no step worth naming."
    if it.call.word == "open":
        return f"Since “{name}”: can’t tell yet whether it moved."
    return f"Since “{name}”: {_further(it.size, about_, hand, units)}, {WORDS[it.call.word]}."


def lines_said(it: LinesBeside, hand: Hand, units: Units) -> str:
    """Whether the second line lies, or scatters, otherwise than the first, in one sentence."""
    said: list[str] = []
    about_ = it.first.quantity
    if not it.tells:
        return (
            f"{quantity_name(about_.name)}: how far one of them lies, its readings can't say, so whether they differ "
            "can't be told from these."
        )
    if it.call.names_direction:
        said.append(f"{_further(it.by, about_, hand, units)}, {WORDS[it.call.word]}")
    if it.steadier is not None and it.steadier.names_direction:
        said.append(f"{'steadier' if it.steadier.side == 'left' else 'wider spread'}, {WORDS[it.steadier.word]}")
    name = quantity_name(about_.name)
    if said:
        return f"{name}: {'; '.join(said)}."
    if it.call.word == "none":
        return f"{name}: no difference that matters, {_further(it.by, about_, hand, units)}."
    return f"{name}: can't tell yet whether they differ, {_further(it.by, about_, hand, units)}."


def more_blocks_said(it: LinesBeside) -> str:
    """How much more would settle where they lie."""
    if it.more_blocks == 0:
        return ""
    what = "look" if it.first.quantity.event == "look" else "block_of_ten"
    if it.more_blocks is None:
        return f"More than {counted(MOST, what)} more on each would be needed."
    return f"About {counted(it.more_blocks, what)} more on each should settle it."


def other_hand_words(lessons: int, hand: Hand) -> str:
    """That lessons putted from the other side are in none of it; nothing where there are none. `hand`: in use now."""
    if not lessons:
        return ""
    other = "left" if hand == "right" else "right"
    are = "is" if lessons == 1 else "are"
    return f"{counted(lessons, 'lesson')} putted {other}-handed {are} not in it: that is another stroke."


def _further(it: Estimate, about_: Quantity, hand: Hand, units: Units) -> str:
    size, doubt = size_said(about_, it.value, it.doubt, units), size_said(about_, it.doubt, 0.0, units)
    return f"{size} (± {doubt}) {further(about_, it.value, hand)}"
