"""Where the eyes are, in words; never inside or outside within what is not known."""

from typing import Final

from ...core.certainty.estimate import Estimate
from ...core.certainty.verdict import Verdict
from ...core.measure.side import side_of
from ...core.measure.units import Units, about, degrees, rounds_to_nothing
from ...core.see.eyes import EyePlace, Open

NOBODY_LOOKED: Final = "Nobody looked yet."
_SIDES: Final = {"more": "inside", "less": "outside"}
_BEHIND: Final = {"more": "behind", "less": "ahead"}


def eye_words(found: EyePlace | None, units: Units) -> tuple[str, ...]:
    """What the looks say, a sentence each."""
    if found is None:
        return (NOBODY_LOOKED,)
    return (
        _inside(found, units),
        _behind(found, units),
        *_eye_line(found),
        *_nose(found, units),
        *_shoulders(found),
        *_wander(found, units),
        *_read_to(found, units),
        *_zone(found, units),
    )


def eye_brief(found: EyePlace, units: Units) -> str:
    """Where the eyes are, in a narrow run sheet: "37 mm in"."""
    if found.open is not None:
        return _SIDES[found.open.side]
    if found.inside is None:
        return _behind_brief(found, units)
    if found.side == "over":
        return "over it"
    size = about(found.inside.value / 1000, found.inside.doubt / 1000, units)
    return f"{size.replace(' in', '″')} {found.side.removesuffix('side')}"


def _behind_brief(found: EyePlace, units: Units) -> str:
    if found.behind is None:
        return _BEHIND[found.open_behind.side] if found.open_behind else ""
    size = about(found.behind.value / 1000, found.behind.doubt / 1000, units)
    if rounds_to_nothing(found.behind.value / 1000, found.behind.doubt / 1000, units):
        return "level"
    return f"{size.replace(' in', '″')} {'back' if found.behind.value > 0 else 'ahead'}"


def moved_words(it: Estimate, before: str, units: Units) -> str:
    """How far the eyes are from where they were in the set-up before."""
    before = before or "as usual"
    size, give = about(it.value / 1000, 0.0, units), about(it.doubt / 1000, 0.0, units)
    if it.low <= 0 <= it.high:
        return f"Not told apart from “{before}” (± {give})."
    if it.value > 0:
        return f"{size} further in than “{before}” (± {give})."
    return f"{size} further out than “{before}” (± {give})."


def _inside(found: EyePlace, units: Units) -> str:
    inside = found.inside
    if found.open is not None:
        return f"Eyes {_SIDES[found.open.side]} the line{_in_looks(found.open)}; how far was not read."
    if inside is None:
        return "Inside or outside the line was not looked at."
    size = about(inside.value / 1000, inside.doubt / 1000, units)
    return {
        "over": f"Over the line, as far as this tells (± {about(inside.doubt / 1000, 0.0, units)}).",
        "inside": f"Eyes {size} inside the line.",
        "outside": f"Eyes {size} outside the line.",
    }[found.side]


def _in_looks(it: Open) -> str:
    return f" in {it.beyond} of {it.looks} looks" if it.looks > 1 else ""


def _behind(found: EyePlace, units: Units) -> str:
    behind = found.behind
    if found.open_behind is not None:
        side = {"more": "behind", "less": "ahead of"}[found.open_behind.side]
        return f"Eyes {side} the ball's centre{_in_looks(found.open_behind)}; how far was not read."
    if behind is None:
        return "Behind or ahead of the ball was not looked at."
    size = about(behind.value / 1000, behind.doubt / 1000, units)
    if rounds_to_nothing(behind.value / 1000, behind.doubt / 1000, units):
        return f"Level with the ball's centre, as far as this tells ({size})."
    return f"{size} behind the ball's centre." if behind.value > 0 else f"{size} ahead of the ball's centre."


def _eye_line(found: EyePlace) -> list[str]:
    turned = found.eye_line_deg
    if turned is None:
        return []
    if abs(turned) < 0.5:
        return ["The eye line is parallel to the line."]
    return [f"The eye line is turned {degrees(turned, 0.5)} {side_of(turned)} of the line."]


def _nose(found: EyePlace, units: Units) -> list[str]:
    if found.nose_mm is None:
        return []
    inside, behind = (about(abs(it) / 1000, 0.0, units) for it in found.nose_mm)
    return {
        (True, True): [f"Nose {inside} inside the line, {behind} behind the ball's centre."],
        (True, False): [f"Nose {inside} inside the line, {behind} ahead of the ball's centre."],
        (False, True): [f"Nose {inside} outside the line, {behind} behind the ball's centre."],
        (False, False): [f"Nose {inside} outside the line, {behind} ahead of the ball's centre."],
    }[found.nose_mm[0] >= 0, found.nose_mm[1] >= 0]


def _shoulders(found: EyePlace) -> list[str]:
    turned = found.shoulders_deg
    if turned is None:
        return []
    if abs(turned) < 0.5:
        return ["In the mirror the shoulders are parallel to the line."]
    return [f"In the mirror the shoulders point {degrees(turned, 0.5)} {side_of(turned)} of the line."]


def _wander(found: EyePlace, units: Units) -> list[str]:
    if found.takes <= 2 or found.wander is None:
        return []
    return [f"From take to take they wander by {about(found.wander.value / 1000, 0.001, units)}."]


def _read_to(found: EyePlace, units: Units) -> list[str]:
    doubt = found.reading_doubt_mm
    return [] if doubt is None else [f"Read to ± {about(doubt / 1000, 0.0, units)}, by the looks read twice."]


def _zone(found: EyePlace, units: Units) -> list[str]:
    if found.zone is None or found.in_zone is None:
        return []
    low, high = (_edge(it, units) for it in found.zone)
    return [f"The zone from {low} to {high} (a school's opinion): {_in_zone(found.in_zone)}."]


def _edge(edge_mm: float, units: Units) -> str:
    size = about(abs(edge_mm) / 1000, 0.0, units)
    return f"{size} outside" if edge_mm < 0 else f"{size} inside"


def _in_zone(it: Verdict) -> str:
    if it.word in ("none", "open"):
        return "in it" if it.word == "none" else "can't tell yet"
    return {
        ("clear", "right"): "too far in, clear",
        ("likely", "right"): "too far in, likely",
        ("clear", "left"): "too far out, clear",
        ("likely", "left"): "too far out, likely",
    }[it.word, "right" if it.side == "right" else "left"]
