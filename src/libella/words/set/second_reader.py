"""Two readers of the same, in words."""

from typing import Final

from ...core.measure.units import Units, about
from ...core.see.second_reader import Agreement, Thing
from ..shared.counts import counted

NAMES: Final[dict[Thing, str]] = {
    "mirror": "Eyes in the mirror",
    "gate": "A gate",
    "laser": "Where the laser lies on the ball",
    "strike": "Where the face was struck",
    "body_lines": "A body line",
    "string": "What the string covers",
    "golfer": "Whether the golfer kept still",
}
ASKS: Final[dict[Thing, str]] = {
    "mirror": "How far inside the line are the eyes? Outside −.",
    "gate": "Which post was touched, or none?",
    "laser": "Where does the laser lie on the ball?",
    "strike": "How far towards the toe was it struck? Heel −.",
    "body_lines": "How far right of the line does it point? Left −.",
    "string": "Where does the string lie on the ball?",
    "golfer": "Did anything move?",
}
ZONES: Final[dict[str, str]] = {
    "left": "◂ Left post",
    "clean": "Clean",
    "right": "Right post ▸",
    "off_left": "Off, on its left",
    "left_edge": "Left edge",
    "left_quarter": "Left quarter",
    "centre": "Middle",
    "right_quarter": "Right quarter",
    "right_edge": "Right edge",
    "off_right": "Off, on its right",
    "off_inside": "Off, inside",
    "edge_inside": "Edge, inside",
    "quarter_inside": "Quarter, inside",
    "splits": "Splits it",
    "quarter_outside": "Quarter, outside",
    "edge_outside": "Edge, outside",
    "off_outside": "Off, outside",
    "still": "Still",
    "moved": "Moved",
}
_COUNTS: Final[dict[Thing, str]] = {
    "mirror": "From now on eyes in the mirror are judged with it, where nobody reads again.",
    "gate": "Gates laid from now on are judged with it.",
    "laser": "Lines on the ground laid from now on are judged with it.",
    "strike": "Strikes noted from now on are judged with it.",
    "body_lines": "Body lines noted from now on are judged with it.",
    "string": "From now on what a string covers is judged with it.",
    "golfer": "What is noted of stillness from now on counts so much less.",
}
WAITS: Final = "The second reader has not read yet; nothing of the first is shown before."


def agreement_said(thing: Thing, it: Agreement, units: Units) -> list[str]:
    """How far two readers agree, the error of a reading, and what counts it from then on."""
    alike = f"Alike {it.same} of {counted(it.of, 'time')}."
    if thing == "golfer":
        low, value, high = (round(100 * one) for one in (it.error.low, it.error.value, it.error.high))
        return [alike, f"Of a hundred readings about {value} are wrong ({low} to {high}).", _COUNTS[thing]]
    size = f"A single reading is off by {_size(thing, it.error.value, units)}"
    said = (
        f"{size} ({_size(thing, it.error.low, units)} to {_size(thing, it.error.high, units)}), one standard deviation."
    )
    return [alike, said, *_apart_said(thing, it, units), _COUNTS[thing]]


def _apart_said(thing: Thing, it: Agreement, units: Units) -> list[str]:
    if it.apart is None or not it.apart.is_one_side:
        return []
    more = "more" if it.apart.value > 0 else "less"
    by = _size(thing, abs(it.apart.value), units)
    return [f"The second reads {by} {more} than the first, every time: agree on what is read before it is read again."]


def _size(thing: Thing, size: float, units: Units) -> str:
    if thing == "body_lines":
        return f"{size:.1f}°"
    return about(size / 1000, 0.0, units) if units == "feet" else f"{size:.1f} mm"
