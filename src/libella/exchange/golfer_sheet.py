"""What a golfer takes home, on paper: the finding's picture, one change, one drill, the first week, the next check."""

from collections.abc import Sequence
from dataclasses import dataclass

from ..core.drawing.scene import Scene
from .paper import MARGIN, PaperName, Sheet, paper_size
from .prose import written
from .svg import drawn, text

_PICTURE_MM, _STATION_MM = 62.0, 42.0


@dataclass(frozen=True, slots=True)
class Told:
    """What the sheet says, part by part; what there is none of is empty.

    superseded : what was put right since a sheet may have gone home
    found : what the lesson came to; change : what, and how it should feel; drill : its name, steps, goal and dose
    week : session by session; first_check : what comes first next time; cautions; note : the coach's own words
    picture, station : of the finding, and of the drill
    """

    found: Sequence[str]
    superseded: Sequence[str] = ()
    change: Sequence[str] = ()
    drill: Sequence[str] = ()
    week: Sequence[str] = ()
    first_check: str = ""
    cautions: Sequence[str] = ()
    note: str = ""
    picture: Scene | None = None
    station: Scene | None = None


def golfer_sheet(told: Told, title: str, under: str, paper: PaperName) -> tuple[Sheet, ...]:
    """One sheet, or two where what there is to say does not fit one. `under`: where and when, below the title."""
    width, height = paper_size(paper)
    room = width - 2 * MARGIN
    y = MARGIN + 6
    body = text(MARGIN, y, title, size=6, weight=700) + text(MARGIN, y + 6, under, size=3.4)
    y += 10
    for scene, tall in ((told.picture, _PICTURE_MM), (told.station, _STATION_MM)):
        if scene is None:
            continue
        wide, high = scene.right - scene.left, scene.bottom - scene.top
        scale = min(room / wide, tall / high)
        body += drawn(scene, MARGIN + (room - wide * scale) / 2, y, scale)
        y += high * scale + 4
    parts: list[tuple[str, Sequence[str], str]] = [
        ("Put right", told.superseded, "!"),
        ("What was found", told.found, ""),
        ("One change", told.change, ""),
        ("The drill", told.drill, "□"),
        ("The first week", told.week, "□"),
        ("First thing next time", [told.first_check] if told.first_check else [], ""),
        ("From your coach", [told.note] if told.note else [], ""),
        ("Mind", told.cautions, "!"),
    ]
    return written(Sheet(width, height, body), y + 2, parts, title)
