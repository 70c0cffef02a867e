"""Golfers the rules may be tuned on: single causes, double ones, and none. Sizes of sorts, none of the demo's."""

from .lesson import Truth

TUNED: tuple[Truth, ...] = (
    Truth(("rig",), rig=1.1),
    Truth(("rig",), rig=-1.4, hand="left"),
    Truth(("perception",), beta=1.9, follow=0.7),
    Truth(("perception",), beta=-2.2, follow=0.6, hand="left"),
    Truth(("perception",), beta=1.8, follow=0.0, mark_follows=0.8),
    Truth(("ball_mark",), mark=1.1),
    Truth(("ball_mark",), mark=-1.4, spread=1.2),
    Truth(("face_aim",), aim=1.3),
    Truth(("face_aim",), aim=-1.6, hand="left", spread=1.2),
    Truth(("compensation",), aim=1.8, delivery=-1.7),
    Truth(("compensation",), beta=-2.2, follow=0.8, delivery=1.6),
    Truth(("face_at_impact",), delivery=1.4),
    Truth(("face_at_impact",), delivery=-1.7, hand="left"),
    Truth(("path",), path=8.0),
    Truth(("path",), path=-9.0, hand="left"),
    Truth(("strike",), toe_mm=16, gear=0.07),
    Truth(("strike",), toe_mm=-18, gear=0.08),
    Truth(("movement",), moving=0.45, loose=3.0),
    Truth(("guide",), alone_deg=1.4),
    Truth(("guide",), alone_spread=2.2, spread=0.8),
    Truth(("distance",), growth=0.45),
    Truth(("read_and_pace",), lost=0.45),
    Truth(("ball_mark", "face_at_impact"), mark=1.2, delivery=1.3),
    Truth(("perception", "movement"), beta=2.2, follow=0.7, moving=0.45, loose=3.0),
    Truth(("face_aim", "read_and_pace"), aim=-1.4, lost=0.5, lost_by="short"),
)
NONE: tuple[Truth, ...] = (Truth(()), Truth((), hand="left"), Truth((), spread=0.8))
