"""Teaching drawings, in words: what each asks, its levers, what it says where they stand, its labels."""

from collections.abc import Mapping
from dataclasses import dataclass
from typing import Final

from ...core.measure.units import Units, tape
from ...core.teach.taught import Known, Lever, LeverUnit, Shown, Teaching, Told

NAMES: Final[dict[str, str]] = {
    "cost": "What a bias costs at each length",
    "gate": "A gate and the window",
    "capture": "How much hole is left at a pace",
    "face_path": "Face, path and start",
    "ten": "Why ten putts and not three",
    "noise": "How noise looks like compensation",
    "mirror": "A mirror on a slope",
    "string": "What a string over the ball covers",
    "straight": "What looks straight from where",
}
LEVERS: Final[dict[str, str]] = {
    "falls": "Mirror falls to the golfer",
    "eyes": "Eyes inside the line",
    "height": "Height of the eyes",
    "string": "Height of the string",
    "lean": "Posts lean to the golfer",
    "inside": "Eyes further in",
    "behind": "Eyes further behind",
    "width": "Width of the gate",
    "at": "Gate from the ball",
    "distance": "Length of the putt",
    "face": "Face at impact",
    "path": "Path",
    "k": "The face’s share",
    "past": "Pace past the hole",
    "green": "Green speed",
    "bias": "Starts lie",
    "spread": "Starts scatter",
    "putts": "Putts",
    "draw": "Draw again",
    "noise": "Reading error of the face",
    "scatter": "The aim’s scatter",
}
SAID: Final[dict[str, str]] = {
    "mirror_out": "Falling {falls_x} % to the golfer, the mirror shows eyes {height_m} up {shift_mm} further out than "
    "they are.",
    "mirror_in": "Falling {falls_x} % away from the golfer, the mirror shows eyes {height_m} up {shift_mm} further in "
    "than they are.",
    "mirror_truly": "They look {shown_inside} the line, and are {eyes_inside} it.",
    "mirror_level": "A tenth of a percent of level is {level_mm} of eyes.",
    "string": "A string {string_m} up, eyes {eyes_inside}: it covers a place {covers_mm} beside the ball’s centre.",
    "string_splits": "The ball seems split: from so near the middle nobody tells the side.",
    "string_quarter": "It seems to lie on a quarter of the ball.",
    "string_edge": "It seems to lie on the ball’s edge.",
    "string_off": "It seems to lie beside the ball: the side is sure, the size is hardly told.",
    "string_lean": "The posts lean: the string itself hangs {hung_inside} the line.",
    "straight_at": "Eyes {inside_mm} further in, {behind_mm} further behind than usual.",
    "straight": "A line must point {angle_deg} to look straight from there: nine times in ten {low_deg} to {high_deg}.",
    "straight_unread": "Nothing was asked of this golfer: the wedge is all that is known, and it is wide.",
    "straight_open": "That is not sure of a side. Ask from there.",
    "straight_likely": "Likely to that side.",
    "straight_clear": "Clearly to that side.",
    "gate": "The gate lets {clean_x}° pass clean to either side; the hole takes {window_x}° at {distance_m}.",
    "gate_wider": "The gate is wider than the hole: a clean putt may miss.",
    "gate_tighter": "The gate is tighter than the hole: what touches it may fall all the same.",
    "gate_same": "Gate and hole ask the same.",
    "gate_putts": "Of a hundred putts {clean_of_100} pass clean, and {window_of_100} start where the hole takes them.",
    "face_path": "The ball starts {start_deg}: the face brings {face_part_deg}, the path {path_part_deg}, by {k_x}.",
    "start_inside": "At {distance_m} the hole takes {window_x}° to either side: it holds.",
    "start_outside": "At {distance_m} the hole takes {window_x}° to either side: it misses.",
    "path_made_good": "With this path a face of {face_deg} starts it straight.",
    "capture": "Running {past_m} past, the hole takes a lane of {lane_mm}: {left_of_100} in a hundred of what a dying "
    "ball has.",
    "capture_window": "At {distance_m} that is {window_x}° to either side.",
    "capture_none": "Running {past_m} past, no ball falls.",
    "capture_putts": "Of a hundred putts {inside_of_100} start where it still falls.",
    "cost": "At {distance_m}, {without_of_100} of a hundred start inside without the bias, {with_of_100} with it: it "
    "costs {cost_of_100}.",
    "cost_nothing": "At no length does it cost one putt of a hundred.",
    "cost_most_here": "At no length does it cost more.",
    "cost_most": "It costs most at {worst_m}: {worst_of_100} of a hundred.",
    "ten_clear": "{putts_n} putts: {middle_deg} ({low_deg} to {high_deg}), clearly {side}.",
    "ten_likely": "{putts_n} putts: {middle_deg} ({low_deg} to {high_deg}), likely {side}.",
    "ten_none": "{putts_n} putts: {middle_deg} ({low_deg} to {high_deg}), nothing to mend.",
    "ten_open": "{putts_n} putts: {middle_deg} ({low_deg} to {high_deg}), can’t tell yet.",
    "ten_truth": "The truth, which nobody sees on the green: {truth_deg}, scatter {spread_x}°.",
    "ten_draws": "Draws so far: {draws_n}. A side was named rightly in {rightly_n} of them, wrongly in {wrongly_n}.",
    "noise_seen": "Over {putts_n} putts the stroke seems to take back {seen_of_100} in a hundred of the aim.",
    "noise_alone": "The stroke drawn here knows nothing of the aim. A reading error of {noise_x}° alone draws "
    "{alone_of_100} in a hundred.",
    "noise_left": "With the error taken out {left_of_100} in a hundred are left, and chance.",
}
LABELS: Final[dict[str, str]] = {
    "eye": "eyes",
    "shown": "here they show themselves",
    "covers": "covers",
    "straight": "looks straight: {deg}",
    "gate": "gate {plain}°",
    "window": "hole {plain}°",
    "face": "face {deg}",
    "path": "path {deg}",
    "start": "start {deg}",
    "lane": "lane {mm}",
    "length": "{m}",
    "share": "{n}",
    "truth": "truth {deg}",
    "aim": "aim, as read",
    "stroke": "stroke, as read",
}
_UNITS: Final[dict[LeverUnit, str]] = {"deg": "°", "mm": "mm", "m": "m", "%": "%", "ft": "ft", "": "", "putts": "putts"}
OWN: Final = "As read of this golfer: {names}. The rest is as usual."
NOTHING_OWN: Final = "Nothing of this was read of this golfer: it starts as usual at the level."
_OWN: Final[dict[str, str]] = {
    "bias_deg": "where the starts lie",
    "spread_deg": "their scatter",
    "face_deg": "face at impact",
    "path_deg": "path",
    "k": "the face’s share",
    "eyes_mm": "where the eyes are",
    "distance_m": "the usual putt",
}


@dataclass(frozen=True, slots=True)
class LeverSaid:
    """A lever's name and the unit its number stands in."""

    name: str
    unit: str


def lever_said(it: Lever) -> LeverSaid:
    """A lever in words."""
    return LeverSaid(LEVERS[it.code], _UNITS.get(it.unit, ""))


def value_said(it: Lever, value: float, units: Units) -> str:
    """Where a lever stands."""
    match it.unit:
        case "deg":
            signed = it.low < 0 and it.code != "lean"
            return _sided(value) if signed else f"{value:.1f}°"
        case "mm":
            return f"{'−' if value < 0 else ''}{tape(abs(value) / 1000, units)}"
        case "m":
            return tape(value, units)
        case "%":
            return f"{value:.1f} %".replace("-", "−")
        case "ft":
            return f"{value:g} ft green"
        case "putts":
            return f"{value:.0f} putts"
        case "draw":
            return f"draw {value:.0f}"
        case _:
            return f"{value:.2f}"


def told_said(it: Shown, units: Units) -> list[str]:
    """What a drawing says, a sentence each."""
    return [SAID[one.code].format(**_numbers(one, units)) for one in it.told]


def _numbers(it: Told, units: Units) -> Mapping[str, str]:
    said = {name: _number(name, value, units) for name, value in it.numbers.items()}
    if "right_n" in it.numbers:
        said["side"] = "right" if it.numbers["right_n"] else "left"
    for name in ("clean", "window", "spread", "noise"):
        if f"{name}_deg" in it.numbers:
            said[f"{name}_x"] = f"{it.numbers[f'{name}_deg']:.2f}"
    return said


def _number(name: str, value: float, units: Units) -> str:
    mm = tape(abs(value) / 1000, units) if units == "feet" else f"{abs(value):.0f} mm"
    match name.rsplit("_", 1)[-1]:
        case "deg":
            return _sided(value)
        case "inside":
            return f"{mm} {'inside' if value >= 0 else 'outside'}"
        case "mm":
            return f"{'−' if value < -0.05 else ''}{mm}"
        case "m":
            return tape(value, units)
        case "x":
            return f"{value:g}".replace("-", "−")
        case _:
            return f"{round(value) or 0:d}".replace("-", "−")


def _sided(value: float) -> str:
    if abs(value) < 0.05:
        return "0.0°"
    return f"{abs(value):.1f}° {'right' if value > 0 else 'left'}"


def label_said(code: str, value: float, units: Units) -> str:
    """A label of a drawing."""
    mm = f"{value:.0f} mm" if units == "metric" else tape(abs(value) / 1000, units)
    m = f"{value:.0f} m" if units == "metric" else tape(value, units)
    return LABELS[code].format(deg=_sided(value), plain=f"{value:.2f}", mm=mm, m=m, n=f"{value:.0f}")


def scale_said(it: Shown) -> str:
    """How it is drawn."""
    if it.chart:
        return "A chart, not to scale."
    said: list[str] = []
    if it.enlarged != 1.0:
        said.append(f"What is across is drawn {it.enlarged:g} times as large")
    if it.shrunk != 1.0:
        said.append(f"heights {it.shrunk:g} times smaller")
    text = ", ".join(said)
    return f"{text[:1].upper()}{text[1:]}." if said else "True to scale."


def own_said(it: Teaching, known: Known) -> str:
    """What of it was read of this golfer."""
    used = {one.knows for one in it.levers} & known.own
    names = [name for code, name in _OWN.items() if code in used]
    return OWN.format(names=", ".join(names)) if names else NOTHING_OWN
