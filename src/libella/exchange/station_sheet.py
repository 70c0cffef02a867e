"""The station sheet: the drawing, the tape list in laying order, what the hole allows, parts and cautions, on paper."""

from collections.abc import Iterable
from typing import Final

from ..core.golfer.hand import Hand
from ..core.golfer.wording import Wording
from ..core.keep.caution import laid
from ..core.measure.units import Units
from ..core.set.kit import kit_check
from ..core.set.layout import from_above, from_side
from ..core.set.station import Station
from ..words.keep.caution import cautions_said
from ..words.set.briefing import allows, breaks, tape_list, trust
from ..words.set.objections import objection_words
from ..words.set.station import station_words
from ..words.shared.plain import put, put_scene
from .paper import MARGIN, PaperName, Sheet, paper_size
from .prose import written
from .svg import drawn, text

_TAPES_MM: Final = 12.0
"""Room beside the drawing for tapes that are set off from it."""


def station_sheet(
    station: Station, title: str, hand: Hand, units: Units, paper: PaperName, wording: Wording = "dense"
) -> tuple[Sheet, ...]:
    """One sheet, or more where what there is to say does not fit one."""
    width, height = paper_size(paper)
    room = width - 2 * MARGIN
    above, side = put_scene(from_above(station, hand, units), wording, units), from_side(station, units)
    scale = (room - 2 * _TAPES_MM) / (above.right - above.left)
    y = MARGIN + 6
    body = text(MARGIN, y, title, size=6, weight=700)
    body += text(
        MARGIN, y + 6, f"{station_words(station, units)} · drawn 1 : {1 / scale:.1f}, {hand}-handed golfer", size=3.4
    )
    y += 8 + _TAPES_MM
    body += drawn(above, MARGIN + _TAPES_MM, y, scale)
    y += (above.bottom - above.top) * scale + _TAPES_MM
    if side is not None:
        body += drawn(put_scene(side, wording, units), MARGIN + _TAPES_MM, y, scale)
        y += (side.bottom - side.top) * scale + 6
    objections = [f"{it.words} {it.why}" for it in (objection_words(one, units) for one in station.objections(hand))]
    parts: list[tuple[str, Iterable[str], str]] = [
        ("Lay it in this order", tape_list(station, hand, units), "□"),
        ("Mind", objections, "!"),
        ("The putt", [*breaks(station, units), allows(station, units)], ""),
        ("What the line is worth", trust(station, units), ""),
        ("Cautions", cautions_said(laid(station)), "!"),
        ("Kit check", [it.words for it in kit_check([one.about for one in (station.rig, *station.aids)])], "□"),
    ]
    told = [(head, [put(one, wording, units) for one in said], mark) for head, said, mark in parts]
    return written(Sheet(width, height, body), y, told, title)
