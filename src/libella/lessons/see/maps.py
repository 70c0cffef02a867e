"""The perception map of a lesson: its tests at several positions, and what the picture does to the aim."""

from collections.abc import Sequence
from dataclasses import dataclass
from uuid import UUID

from ...core.certainty.estimate import Estimate
from ...core.drawing.scene import Scene
from ...core.measure.units import Units
from ...core.see.map import PerceptionMap, perception_map
from ...core.see.map_words import MapWords, map_scene, map_words
from ...core.see.picture import AimQuestion, aim_question
from ...core.see.position import Position, same_place
from ...store.tables import LessonRow
from ..aim.aims import natural_aim
from ..desk.desk import Desk
from .eyes import EyeSheet, eye_sheet
from .sights import LOOKS_STRAIGHT_MATTERS, SightSheet, sights_of


@dataclass(frozen=True, slots=True)
class MapSheet:
    """The map with what it rests on.

    Attributes
    ----------
    sights : the tests that are on it: shown, and asked under the same conditions as the newest one
    left_out : how many shown tests are not, asked with other eyes, glasses or another way of tracing
    """

    map: PerceptionMap
    words: MapWords
    scene: Scene
    sights: Sequence[SightSheet]
    left_out: int
    aim: AimQuestion
    eyes: EyeSheet

    def angle_at(self, position: Position) -> Estimate:
        """The looks-straight angle there: as it was asked there last, or as the map has it."""
        asked = [it for it in self.sights if it.tried.tells and same_place(it.tried.position, position)]
        return asked[-1].found.angle if asked else self.map.at(position)


def map_sheet(desk: Desk, lesson_id: UUID, units: Units) -> MapSheet:
    """The map of a lesson."""
    shown = [it for it in sights_of(desk, lesson_id) if it.test.ended_at]
    same = [it for it in shown if _asked_as(it) == _asked_as(shown[-1])]
    with desk.transaction() as session:
        lesson = desk.get(session, LessonRow, lesson_id, "lesson")
    limit = LOOKS_STRAIGHT_MATTERS
    found = perception_map([it.tried for it in same], limit)
    eyes = eye_sheet(desk, lesson_id, units)
    place = eyes.found
    usual = None if place is None else (place.inside.value, place.behind.value if place.behind else 0.0)
    as_usual = [it for it in same if it.tried.tells and not it.tried.position]
    return MapSheet(
        map=found,
        words=map_words(found, units),
        scene=map_scene(found, eyes.hand, usual),
        sights=same,
        left_out=len(shown) - len(same),
        aim=aim_question(as_usual[-1].found.angle if as_usual else None, natural_aim(desk, lesson.golfer_id), limit),
        eyes=eyes,
    )


def _asked_as(it: SightSheet) -> tuple[str, str, str]:
    return it.test.trace, it.test.eyes, it.test.glasses
