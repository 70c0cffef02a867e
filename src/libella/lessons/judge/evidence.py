"""What a lesson tells of a golfer, gathered from every step for the findings."""

import math
from collections.abc import Mapping, Sequence
from typing import Final
from uuid import UUID

from ...core.certainty.estimate import Estimate, estimated, normal
from ...core.estimate import START, posterior
from ...core.green.putt import USUAL_PAST_M, Putt
from ...core.judge.chain import K_USUAL, fit_k
from ...core.judge.compensation import FEWEST
from ...core.judge.findings.evidence import BlockSeen, BodyLine, Evidence, Picture, Place, PuttSeen, SecondProof, Told
from ...core.judge.judgement import NO_HOLE_M, usual_mix
from ...core.measure.interval import Interval
from ...core.measure.side import side_of
from ...core.set.kit import PARTS
from ...core.set.station import Station
from ..aim.aims import AimSheet, aim_table
from ..desk.desk import Desk
from ..golfer.golfers import usual_of
from ..lesson.lessons import BlockSheet, LessonSheet
from ..lesson.set_up_name import AS_USUAL
from ..see.sights import told_last
from ..set.bag import bag
from ..set.plans import plan_now
from ..set.stations import entry_of
from ..stand.set_ups import body_lines
from ..start.blocks import shared_of, station_of
from ..start.strokes import StrokeSheet, strokes_of
from .bands import bands_now
from .tables import delivered, measures_of, notes_of, strokes_by_putt

_ELECTRONICS: Final = frozenset(("stroke_sensor", "start_reader", "camera"))
_MEASURED: Final = ("second_laser", "tape", "string")
"""Ways of proving a line that measure where it lies; rolling both ways tells the ground only."""


def evidence_of(desk: Desk, sheet: LessonSheet) -> tuple[Evidence, Putt]:
    """Everything read in a lesson, and the putt its sizes are told at."""
    lesson_id, golfer = sheet.lesson.id, sheet.golfer
    with desk.transaction() as session:
        row = plan_now(desk, session, lesson_id)
    plan = entry_of(row).station() if row else None
    putt = plan.putt if plan else Putt(NO_HOLE_M, USUAL_PAST_M, sheet.lesson.green_speed_ft)
    told = strokes_by_putt(strokes_of(desk, lesson_id))
    band = bands_now(desk).of[golfer.level]
    blocks = tuple(_block(it, band.spread_deg["start"], told) for it in sheet.blocks)
    laid = [station_of(it.block) for it in sheet.blocks if it.readings] or ([plan] if plan else [])
    aims = aim_table(desk, lesson_id).sheets
    usual = usual_of(golfer)
    tools = bag(desk)
    mix = usual_mix(putt, usual)
    return (
        Evidence(
            hand=golfer.hand,
            mix=mix,
            lengths_m=tuple(it.distance_m for it in usual),
            k=_share(sheet.blocks, told),
            level=golfer.level,
            band=band,
            blocks=blocks,
            mark=_aimed(aims, "mark"),
            to_mark=_aimed(aims, "to_mark"),
            face=_aimed(aims, "face"),
            picture=_picture(desk, lesson_id),
            proof=_second_proof(laid),
            line_deg=_line_deg(laid),
            body=_body(desk, lesson_id),
            tools=_usual_bag(bool(told)) if tools is None else frozenset(tools),
        ),
        putt,
    )


def _usual_bag(sensed: bool) -> frozenset[str]:
    """What a coach who told nothing of the bag is taken to carry: electronics only where they read a stroke here."""
    return frozenset(PARTS) - (_ELECTRONICS - {"stroke_sensor"} if sensed else _ELECTRONICS)


def _is_coarse(station: Station, expected_deg: float) -> bool:
    return station.sight(expected_deg).fit in ("coarse", "cannot")


def _block(sheet: BlockSheet, expected_deg: float, told: Mapping[UUID, Sequence[StrokeSheet]]) -> BlockSeen:
    block, station = sheet.block, station_of(sheet.block)
    watched = station.rig.reads_start
    valid = [it for it in sheet.readings if not it.voided]
    seen = [delivered(it, told.get(it.id, ())) for it in valid]
    putts = tuple(
        PuttSeen(
            start=Interval.of(it.low_deg, it.high_deg) if watched else None,
            notes=notes_of(it, told.get(it.id, ())),
            aim_deg=one.face_aim_deg,
            impact_deg=one.face_impact_deg,
            path_deg=one.path_deg,
            toe_mm=measures_of(it, told.get(it.id, ())).get("strike_toe_mm"),
            id=str(it.id),
        )
        for it, one in zip(valid, seen, strict=True)
    )
    sensed = [it for it in seen if it.face_impact_deg is not None or it.face_aim_deg is not None]
    return BlockSeen(
        id=str(block.id),
        putts=putts,
        distance_m=block.distance_m,
        window=station.putt.window,
        noise_deg=station.noise_deg,
        shared_deg=shared_of(block),
        guided=block.guided,
        as_usual=block.condition == AS_USUAL,
        proved=station.proof.is_proved,
        coarse=watched and _is_coarse(station, expected_deg),
        voided=len(sheet.readings) - len(valid),
        disturbances=tuple(block.disturbances),
        sensor_deg=max((it.u_deg for it in sensed), default=0.0),
        zero_deg=max((it.zero_deg for it in sensed), default=0.4),
        one_device=all(it.one_device for it in sensed),
    )


def _share(blocks: Sequence[BlockSheet], told: Mapping[UUID, Sequence[StrokeSheet]]) -> Estimate:
    """The face's share: as the coach set it, as the putts tell, or as is usual."""
    own = [it.block.k for it in blocks if it.block.k is not None]
    if own:
        return Estimate(own[-1], own[-1], own[-1])
    putts = [
        delivered(it, told.get(it.id, ()))
        for sheet in blocks
        if station_of(sheet.block).rig.reads_start
        for it in sheet.readings
        if not it.voided
    ]
    return fit_k(putts) or K_USUAL


def _aimed(sheets: Sequence[AimSheet], link: str) -> Told | None:
    """The newest series of a link as usual, else the newest with no aid in view."""
    own = [it for it in sheets if it.series.link == link and not it.series.aided and len(it.reads) >= FEWEST]
    usual = [it for it in own if it.series.set_up == AS_USUAL] or own
    if not usual:
        return None
    it = usual[-1]
    # The line's own doubt is shared by every link: it is counted there.
    tool = math.sqrt(max(it.shared_deg**2 - it.line_deg**2, 0.0))
    post = posterior(it.reads, START)
    bias, spread = estimated(post.blurred(tool).bias_quantile), estimated(post.spread_quantile)
    return Told(bias, len(it.reads), Place("aim", str(it.series.id)), spread)


def _picture(desk: Desk, lesson_id: UUID) -> Picture | None:
    shown, _ = told_last(desk, lesson_id)
    if shown is None or not shown.found.tells or shown.test.position:
        return None
    answers = sum(not it.voided for it in shown.trials)
    return Picture(shown.found.angle, answers, Place("see", str(shown.test.id)))


def _second_proof(laid: Sequence[Station]) -> SecondProof | None:
    """What the newest second check found, where it measured the line."""
    for station in reversed(laid):
        it = station.proof
        if it.way in _MEASURED and it.evidence is not None:
            rig_m = station.rig.station_m
            return SecondProof(normal(it.line_off_deg(rig_m), it.shared_deg(rig_m)), Place("set"))
    return None


def _line_deg(laid: Sequence[Station]) -> float | None:
    """What is left unknown of the line, root mean square over where it was putted; None where none of it is proved."""
    if not laid or not all(it.proof.is_proved for it in laid):
        return None
    doubts = [it.proof.shared_deg(it.rig.station_m) for it in laid]
    return math.sqrt(sum(it * it for it in doubts) / len(doubts))


def _body(desk: Desk, lesson_id: UUID) -> tuple[BodyLine, ...]:
    return tuple(
        BodyLine(name.removesuffix("_deg"), None, times, Place("stand"), value)
        if isinstance(value, str)
        else BodyLine(name.removesuffix("_deg"), value, times, Place("stand"), side_of(value))
        for name, value, times in body_lines(desk, lesson_id)
    )
