"""Set-downs, in words: link by link, their sum, and what an aid in view changes."""

from dataclasses import dataclass
from typing import Final

from ...core.aim.links import AimFound, AimSum, Cue, Link, Moved
from ...core.measure.angle import offset_m
from ...core.measure.side import side_of
from ...core.measure.units import Units, about, sided
from ..shared.brief import NOTHING, angle_brief, times_brief
from ..shared.certainty import WORDS, headline, open_said
from ..shared.counts import counted
from ..shared.flags import lessened_words


@dataclass(frozen=True, slots=True)
class LinkWords:
    """A link of the aim: its name, what is read, and what it is against."""

    name: str
    how: str


LINKS: Final[dict[Link, LinkWords]] = {
    "face": LinkWords("Face against the line", "Set the putter down, step away, and again; read the face each time."),
    "mark": LinkWords("Ball mark against the line", "The golfer points the mark; read how far it lies off the line."),
    "to_mark": LinkWords("Putter against the mark", "Set the putter down; read the face against the ball's own mark."),
}
CUES: Final[dict[Cue, str]] = {
    "line": "line",
    "stripe": "stripe",
    "logo": "logo",
    "blank": "no line on the ball",
    "near_spot": "near spot",
}


@dataclass(frozen=True, slots=True)
class AimWords:
    """The sentences of a set of set-downs."""

    headline: str
    meaning: str
    doubt: str


def aim_words(it: AimFound, units: Units) -> AimWords:
    """A set as it is read."""
    unproved = "" if it.proved or it.summary is None else " The line is not proved."
    return AimWords(_headline(it), _meaning(it, units) + unproved, _doubt(it))


def aim_brief(it: AimFound) -> str:
    """A set in a narrow run sheet."""
    if it.summary is None:
        return NOTHING
    if it.beyond is not None:
        return times_brief(it.beyond.side, it.beyond.times, it.set_downs)
    if not it.is_sized:
        return "no size"
    return angle_brief(it.summary.bias, it.verdict)


def _headline(it: AimFound) -> str:
    """Where it lies and how sure that is; of readings that say a side only, the side and how often."""
    if it.summary is None or it.is_sized:
        return headline(it.summary, it.verdict, "No set-down yet.")
    if it.beyond is None:
        said = open_said(it.kind, it.set_downs)
        return f"So far {said}." if it.verdict is None else f"{said[0].upper()}{said[1:]}: {WORDS[it.verdict.word]}."
    right = it.beyond.side == "right"
    turned = "" if it.link == "mark" else " (open)" if right == (it.hand == "right") else " (closed)"
    said = f"{it.beyond.side}{turned} {it.beyond.times} of {it.set_downs}"
    if it.verdict is None:
        return f"So far {said}."
    return f"{said[0].upper()}{said[1:]}: {WORDS[it.verdict.word]}; how far, words can't say."


def _meaning(it: AimFound, units: Units) -> str:
    planned = counted(it.planned, "set_down")
    if it.summary is None:
        return f"The verdict comes after {planned}."
    if it.verdict is None:
        return f"{it.set_downs} of {planned}; until then this is only so far."
    if not it.verdict.names_direction:
        return "Nothing there to mend." if it.verdict.word == "none" else "A tendency and chance both still fit."
    if it.beyond is not None:
        return "It points there oftener than by chance."
    if not it.is_sized:
        return ""
    bias = it.summary.bias
    size = about(offset_m(bias.value, it.distance_m), offset_m(bias.doubt, it.distance_m), units)
    far = f"About {size} {side_of(bias.value)} at the hole"
    if it.link == "mark":
        return f"{far}."
    # Open points away from the golfer's feet: right for a right-handed golfer.
    is_open = (bias.value > 0) == (it.hand == "right")
    if it.link == "face":
        return f"{far}; the face is open to the line." if is_open else f"{far}; the face is closed to the line."
    return f"{far}; the face is open to the mark." if is_open else f"{far}; the face is closed to the mark."


def _doubt(it: AimFound) -> str:
    if it.summary is None:
        return ""
    if not it.is_sized:
        return lessened_words(it.lessened).strip()
    bias, spread = it.summary.bias, it.summary.spread
    return (
        f"Between {sided(bias.low)} and {sided(bias.high)}; one set-down from the next {spread.value:.1f}° "
        f"({spread.low:.1f}° to {spread.high:.1f}°).{lessened_words(it.lessened)}"
    )


def sum_words(it: AimSum) -> str:
    """Mark and putter against it, added, beside the face as it was read."""
    if it.mark is None and it.to_mark is None:
        return "For the sum, read the ball mark and the putter against the mark."
    if it.mark is None:
        return "For the sum, read the ball mark."
    if it.to_mark is None or it.added is None:
        return "For the sum, read the putter against the mark."
    said = (
        f"Mark {sided(it.mark.value)} and putter against it {sided(it.to_mark.value)} make {sided(it.added.value)} "
        f"(± {it.added.doubt:.1f}°)"
    )
    if it.face is None or it.fits is None:
        return f"{said}; the face itself was not read."
    face = sided(it.face.value)
    return {
        "none": f"{said}, as the face reads ({face}).",
        "open": f"{said}, which may or may not be how the face reads ({face}).",
        "likely": f"{said}, likely not as the face reads: read one of them again ({face}).",
        "clear": f"{said}, not as the face reads: read one of them again ({face}).",
    }[it.fits.word]


def aid_words(it: Moved | None) -> str:
    """What the aid in view changes; empty until both were read."""
    if it is None:
        return ""
    size = f"{abs(it.by.value):.1f}° {side_of(it.by.value)} (± {it.by.doubt:.1f}°)"
    if it.call.word == "none":
        return f"The aid in view makes no difference worth having to the aim: {size}."
    if it.call.word == "open":
        return f"Whether the aid in view moves the aim can't be told yet: {size}."
    return f"The aid in view moves the aim {size}, {WORDS[it.call.word]}: what is read with it is the guided golfer."


NOTHING_READ: Final = "Nothing read yet."
