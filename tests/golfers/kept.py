"""Golfers the rules are not tuned on: the bench prints them beside the others, and nothing is set by them."""

from .lesson import Truth

KEPT: tuple[Truth, ...] = (
    Truth(("rig",), rig=-0.9),
    Truth(("rig",), rig=1.6, level="club", spread=1.4),
    Truth(("perception",), beta=2.6, follow=0.5),
    Truth(("perception",), beta=-1.7, follow=0.9),
    Truth(("perception",), beta=-2.0, follow=0.0, mark_follows=0.7),
    Truth(("ball_mark",), mark=-1.0, hand="left"),
    Truth(("ball_mark",), mark=1.5, level="club", spread=1.4),
    Truth(("face_aim",), aim=1.2, hand="left"),
    Truth(("face_aim",), aim=-1.4, spread=0.8),
    Truth(("compensation",), aim=-1.6, delivery=1.3, hand="left"),
    Truth(("compensation",), mark=1.7, delivery=-1.5),
    Truth(("face_at_impact",), delivery=-1.2),
    Truth(("face_at_impact",), delivery=1.8, level="club", spread=1.4),
    Truth(("path",), path=-7.5),
    Truth(("path",), path=10.0, level="club", spread=1.3),
    Truth(("strike",), toe_mm=14, gear=0.08, hand="left"),
    Truth(("strike",), toe_mm=-15, gear=0.075, spread=0.8),
    Truth(("movement",), moving=0.5, loose=2.6),
    Truth(("guide",), alone_deg=-1.6, hand="left"),
    Truth(("guide",), alone_spread=2.4, spread=0.7),
    Truth(("distance",), growth=-0.5, hand="left"),
    Truth(("distance",), growth=0.55, delivery=-1.2),
    Truth(("read_and_pace",), lost=0.5, lost_by="short"),
    Truth(("perception", "strike"), beta=-2.2, follow=0.7, toe_mm=-16, gear=0.07),
    Truth(("face_aim", "face_at_impact"), aim=1.3, delivery=1.4, hand="left"),
)
