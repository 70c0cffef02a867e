"""The tables behind a judgement, in words: what each shows, its rows and figures, what it comes to."""

from dataclasses import dataclass
from functools import singledispatch
from typing import Final

from ...core.certainty.verdict import is_likely, sure_of
from ...core.certainty.vial import Vial
from ...core.instruments.aid import QUANTITIES
from ...core.judge.chain import ChainFound, FaceAndPath, Joined
from ...core.judge.comparing import Compared
from ...core.judge.compensation import FEWEST_PAIRS, PuttByPutt
from ...core.judge.distance import Grown
from ...core.judge.holed import PLACES, Holed
from ...core.judge.noted import FEWEST, FEWEST_FELT, CountsFound, FeltFound, HalvesFound, SizesFound, StrikeFound
from ...core.judge.table import (
    Angles,
    Bias,
    Cell,
    Chance,
    Code,
    Count,
    PathOff,
    RowFacts,
    Share,
    Size,
    Spread,
    TableFacts,
)
from ...core.judge.watched import PathFound, WatchedFound
from ...core.measure.constants import FOOT_M, INCH_M
from ...core.measure.side import side_of
from ...core.measure.units import Units, degrees, percent, sided, tape
from ...core.start.notes import NOTES
from ...core.start.watched import note_of
from ..shared.certainty import WORDS, with_doubt
from ..shared.counts import counted


@dataclass(frozen=True, slots=True)
class Row:
    """A line of a table: a name, figures by column, and the vial where it is an angle."""

    name: str
    cells: tuple[str, ...]
    vial: Vial | None = None


@dataclass(frozen=True, slots=True)
class Table:
    """A small table behind the judgement; `words` says what it comes to."""

    title: str
    columns: tuple[str, ...]
    rows: tuple[Row, ...]
    words: str


_TITLES: Final = {
    "felt": "Felt against real",
    "holed": "Holed, by the start",
    "strike": "Start by strike",
    "sizes": "Sizes of the stroke",
    "halves": "First half, second half",
    "distance": "Side by distance",
    "chain": "Every link",
    "face_and_path": "Start from face and path",
    "comparison": "Behind the comparison",
    "path_declared": "Path against the one declared",
}
_COLUMNS: Final = {
    "": "",
    "putts": "putts",
    "start": "start",
    "bias": "bias",
    "spread": "spread",
    "middle": "middle",
    "scatter": "from putt to putt",
    "to_the_next": "to the next",
    "felt_left": "felt left",
    "felt_straight": "felt straight",
    "felt_right": "felt right",
    "holed": "holed",
    "missed": "missed",
    "surely_inside": "surely in the window",
    "surely_outside": "surely outside",
    "nearer": "nearer the line",
    "steadier": "steadier",
    "more_inside": "more in the window",
}
_ROWS: Final = {
    ("felt", "left"): "started left",
    ("felt", "straight"): "started straight",
    ("felt", "right"): "started right",
    ("felt", "untold"): "the rig can't tell",
    ("holed", "inside"): "started in the window",
    ("holed", "outside"): "started outside",
    ("holed", "untold"): "the rig can't tell",
    ("strike", "heel"): "heel",
    ("strike", "middle"): "middle",
    ("strike", "toe"): "toe",
    ("halves", "first_half"): "first half",
    ("halves", "second_half"): "second half",
    ("path_declared", "as_declared"): "as declared",
    ("path_declared", "out_to_in"): "out to in of it",
    ("path_declared", "in_to_out"): "in to out of it",
    ("chain", "ball_mark"): "Ball mark",
    ("chain", "to_mark"): "Putter to the mark",
    ("chain", "face_address"): "Face at address",
    ("chain", "delivery"): "The stroke adds",
    ("chain", "face_impact"): "Face at impact",
    ("chain", "path"): "Path",
    ("chain", "start"): "Start",
    ("face_and_path", "k"): "Share of the face (k)",
    ("face_and_path", "left_over"): "Left over",
    ("face_and_path", "path_none"): "Path, none declared",
    ("face_and_path", "path_straight"): "Path, straight back and through",
    ("face_and_path", "path_arc"): "Path, an arc",
    ("face_and_path", "path_arc_then_straight"): "Path, an arc back, straight through",
}
_CODES: Final = {"": "", "too_few": "too few", "at_set_down": "at set-down"}


def table_words(it: TableFacts, units: Units) -> Table:
    """A table as it is read."""
    rows = tuple(
        Row(_row_name(it.of, row, units), tuple(_cell(cell, units) for cell in row.cells), row.vial) for row in it.rows
    )
    title = _TITLES[it.of] if it.of in _TITLES else note_of(it.of).label
    return Table(title, tuple(_COLUMNS[name] for name in it.columns), rows, _found(it.found, units))


def _row_name(table: str, row: RowFacts, units: Units) -> str:
    if row.said:
        return row.said
    if row.length_m is not None:
        return tape(row.length_m, units)
    if table == "sizes":
        return note_of(row.of).label
    return _ROWS[table, row.of] if (table, row.of) in _ROWS else NOTES[table].options[row.of]


def _cell(it: Cell, units: Units) -> str:
    match it:
        case Count(n):
            return str(n)
        case Code(code):
            return _CODES[code]
        case Angles(values):
            return ", ".join(sided(value) for value in values)
        case Bias(found):
            return with_doubt(found)
        case Spread(value, doubt):
            return f"{value:.1f}°" if doubt is None else f"{value:.1f}° (± {doubt:.1f}°)"
        case Chance(chance):
            return percent(chance)
        case Share(found):
            return f"{found.value:.2f} ({found.low:.2f} to {found.high:.2f})"
        case Size(value, unit, scatter):
            size = _size(value, unit, scatter, units)
            return f"± {size}" if scatter else size
        case PathOff(off, declared):
            return _path_off(off) if declared else f"{abs(off):.1f}° {side_of(off, 0.05)}"


def _size(value: float, unit: str, scatter: bool, units: Units) -> str:
    if unit == "deg":
        return f"{abs(value):.1f}°" if scatter else sided(value)
    if unit == "%":
        return f"{value:.0f} %"
    # As it is read off by eye: whole centimetres, whole inches.
    return f"{value * 100:.0f} cm" if units == "metric" else f"{value / INCH_M:.0f} in"


def _path_off(off: float) -> str:
    if abs(off) < 0.25:
        return "as declared"
    return f"{abs(off):.1f}° in to out of it" if off > 0 else f"{abs(off):.1f}° out to in of it"


@singledispatch
def _found(found: object, units: Units) -> str:
    raise TypeError(f"{type(found).__name__} has no words: give it some in words.judge.tables")


@_found.register
def _(it: FeltFound, units: Units) -> str:
    said = f"{it.right} of {counted(it.told, 'call')} right."
    if it.straight is None:
        return f"{said} What feels straight shows from {FEWEST_FELT} calls on."
    if it.straight.too_noisy:
        return f"{said} The calls have nothing to do with the starts: the feel does not tell this golfer."
    if it.straight.open_side is not None:
        return f"{said} All calls alike: what feels straight is open."
    angle = it.straight.looks_straight
    side, doubt = side_of(angle.value, 0.05), max(0.1, angle.doubt)
    if side == "neither":
        return f"{said} What feels straight is a straight start (± {doubt:.1f}°)."
    return f"{said} What feels straight is a start {degrees(angle.value, angle.doubt)} {side} (± {doubt:.1f}°)."


@_found.register
def _(it: Holed, units: Units) -> str:
    started, outside, untold = (it.fell[place] + it.missed[place] for place in PLACES)
    said: list[str] = []
    if started:
        said.append(f"{it.missed['inside']} of {started} that surely started in the window missed.")
    if outside:
        said.append(f"{it.missed['outside']} of {outside} that started outside it missed.")
    if untold:
        said.append(f"Of {counted(untold, 'putt')} this rig can't tell whether they started in the window.")
    if started < FEWEST:
        said.append("Too few in the window to tell line from read and pace.")
    return " ".join(said)


@_found.register
def _(it: StrikeFound, units: Units) -> str:
    apart = it.heel_from_toe
    if apart is None:
        return "Three putts off the heel and three off the toe tell whether the strike turns the start."
    if not apart.is_one_side:
        return f"Heel and toe start alike, as far as this tells (± {apart.doubt:.1f}°)."
    return (
        f"Off the heel it starts {abs(apart.value):.1f}° further {side_of(apart.value)} than off the toe "
        f"(± {apart.doubt:.1f}°)."
    )


@_found.register
def _(it: CountsFound, units: Units) -> str:
    return f"Mostly {NOTES[it.note].options[it.usual]}: {it.times} of {counted(it.of, 'putt')}."


@_found.register
def _(it: SizesFound, units: Units) -> str:
    return (
        "One standard deviation from putt to putt: the smaller, the more alike the strokes. A sensor’s own figure is "
        "its maker’s: it is shown, and never counted with ours."
        if it.makers
        else "One standard deviation from putt to putt: the smaller, the more alike the strokes."
    )


@_found.register
def _(it: HalvesFound, units: Units) -> str:
    if it.move.word == "clear":
        moved = it.moved
        return (
            f"The start moved {abs(moved.value):.1f}° {side_of(moved.value)} within the block (± {moved.doubt:.1f}°)."
        )
    if it.change.word == "clear":
        return f"The spread changed within the block: {it.spread_ratio.value:.1f} times the first half's."
    return "No sign of warming up or tiring within the block."


@_found.register
def _(it: Grown, units: Units) -> str:
    slope = it.slope
    far = 1.0 if units == "metric" else FOOT_M
    size, doubt, side = f"{abs(slope.value) * far:.2f}°", f"± {slope.doubt * far:.2f}°", side_of(slope.value)
    each = "with every metre" if units == "metric" else "with every foot"
    if is_likely(it.grows):
        word = WORDS[sure_of(it.grows)]
        return f"It grows {size} ({doubt}) {side} {each}, {word}: a stroke cause, or a slope not read."
    if is_likely(it.turns):
        word = WORDS[sure_of(it.turns)]
        return f"It goes {size} ({doubt}) {side} {each}, {word}; but it does not get larger with the distance."
    return f"It does not grow with the distance, as far as this tells ({doubt} {each})."


@_found.register
def _(it: ChainFound, units: Units) -> str:
    if it.means is None:
        return "Face at address and at impact of three putts tell whether the stroke makes up for the aim."
    if it.aim and it.delivery:
        return (
            f"The aim is {with_doubt(it.aim)} and the stroke adds {with_doubt(it.delivery)}: a compensation, "
            f"{WORDS[it.means.word]} ({percent(it.means.probability)}). Mend the first cause, and look again before "
            "touching the other."
        )
    if it.pairs is None:
        return f"No sign of it in the means; {FEWEST_PAIRS} putts with both tell whether it is so putt by putt."
    return _pairs(it.pairs)


@_found.register
def _(it: Joined, units: Units) -> str:
    joined = (
        f"At address the face aims {with_doubt(it.aim)}; the ball starts {with_doubt(it.start)}: between the two it is "
        f"turned {with_doubt(it.turned)} by stroke, path and strike together."
    )
    if is_likely(it.opposite):
        return (
            f"{joined} What lies between takes back what the aim is off: a compensation, {WORDS[sure_of(it.opposite)]} "
            f"({percent(it.opposite)}). Mend the first cause, and look again before touching the other."
        )
    return f"{joined} Aim and start were read apart, so it is told of their means alone."


def _pairs(it: PuttByPutt) -> str:
    if it.question:
        return (
            "Does the stroke make up for the aim, putt by putt? It may only be the sensor's own noise: hold the putter "
            "still against the reference for five readings, then it can be told."
        )
    if it.call.names_direction:
        low, middle, high = (
            round(min(1.0, max(0.0, value)) * 100)
            for value in (it.takes_back.low, it.takes_back.value, it.takes_back.high)
        )
        return (
            f"Putt by putt the stroke makes up for about {middle} % ({low} to {high} %) of what the aim is off: "
            f"{WORDS[it.call.word]}."
        )
    if it.call.word == "none":
        return "No sign that the stroke makes up for the aim."
    return "Whether the stroke makes up for the aim can't be told yet from these putts."


@_found.register
def _(it: FaceAndPath, units: Units) -> str:
    how = {
        "set": "as set",
        "fitted": "fitted from these putts",
        "usual": "as is usual: these putts can't tell",
    }[it.how]
    said = f"Start = {it.k.value:.2f} × face + {1 - it.k.value:.2f} × path, {how}."
    if it.left_over and it.left_over.is_one_side:
        return f"{said} {with_doubt(it.left_over)} is left over: strike, the ball's place or the rig's zero."
    return said


@_found.register
def _(it: Compared, units: Units) -> str:
    return f"How sure it is that each beats “{it.first}”."


@_found.register
def _(it: WatchedFound, units: Units) -> str:
    putts = counted(it.putts, "putt")
    if it.measures == "eyes" or (it.touched and not it.low + it.high):
        return f"Touched by {it.touched} of {putts}."
    told = QUANTITIES[it.measures]
    if not it.call.names_direction:
        return f"{it.low} {told.low_side}, {it.high} {told.high_side} of {putts}: a tendency and chance both still fit."
    side = told.high_side if it.call.side == "right" else told.low_side
    return f"{it.low} {told.low_side}, {it.high} {told.high_side} of {putts}: {side}, {WORDS[it.call.word]}."


@_found.register
def _(it: PathFound, units: Units) -> str:
    putts = counted(it.putts, "putt")
    told = f"{it.as_declared} as declared, {it.out_to_in} out to in, {it.in_to_out} in to out of {putts}"
    if not it.call.names_direction:
        return f"{told}."
    side = "in to out" if it.call.side == "right" else "out to in"
    return f"{told}: {side}, {WORDS[it.call.word]}."
