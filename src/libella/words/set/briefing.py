"""A station in words: what the hole allows, how the putt is started, and what its line is worth."""

import math
from dataclasses import replace
from typing import Final

from ...core.golfer.hand import Hand
from ...core.green.capture import Capture
from ...core.green.putt import STRAIGHT_M
from ...core.green.slope import nearest_straight
from ...core.green.target import Arrival
from ...core.instruments.ground_line import GroundLine, before_the_break_m
from ...core.measure.angle import angle_deg
from ...core.measure.side import side_of
from ...core.measure.units import Units, about, fine_degrees, roughly, tape
from ...core.set.proof import budget
from ...core.set.station import Station
from ..shared.counts import counted
from .green import falls_words, read_words
from .proof import CHECK, HIDES, proof_words

_LEAVES_M = (0.001, 0.002, 0.005)


def allows(station: Station, units: Units) -> str:
    """What the hole allows, in words."""
    putt = station.putt
    window = putt.window
    return _ALLOWS[putt.is_level, putt.capture].format(
        either=fine_degrees(window.narrow_deg),
        left=fine_degrees(window.left_deg),
        right=fine_degrees(window.right_deg),
        off=about(putt.capture_m, 0.0, units),
        past=tape(putt.past_m, units),
        speed=f"{putt.green_speed_ft:g}",
    )


_ALLOWS: Final[dict[tuple[bool, Capture], str]] = {
    (True, "rim_assisted"): (
        "The hole allows {either} either side ({off} off centre), rolling {past} past on a {speed} ft green "
        "(rim-assisted limit)."
    ),
    (True, "free_fall"): (
        "The hole allows {either} either side ({off} off centre), rolling {past} past on a {speed} ft green "
        "(free fall limit)."
    ),
    (False, "rim_assisted"): (
        "The hole allows {left} left and {right} right of the true line ({off} off centre), rolling {past} past on a "
        "{speed} ft green (rim-assisted limit)."
    ),
    (False, "free_fall"): (
        "The hole allows {left} left and {right} right of the true line ({off} off centre), rolling {past} past on a "
        "{speed} ft green (free fall limit)."
    ),
}


def breaks(station: Station, units: Units) -> tuple[str, ...]:
    """How the putt is started, a sentence each; empty for one on the level, aimed at the hole."""
    putt = station.putt
    said: list[str] = []
    if not putt.is_level:
        said += [_straight(station, units), *_nearest(station, units)]
        if not putt.is_straight:
            aim, side = putt.aim, side_of(putt.aim.start_deg)
            said.append(
                f"Computed: start it {fine_degrees(aim.start_deg)} {side} of the hole's centre; aim "
                f"{about(aim.aim_m, 0.0, units)} {side} of it."
            )
        said.append(f"Plays like {tape(max(putt.aim.plays_like_m, 0.0), units)} on the level.")
    said += _read(station, units)
    said += _golfer_says(station, units)
    if not putt.is_level or putt.start_deg:
        said.append(_paces(station, units))
        drift = station.drift_m
        if abs(drift) >= 0.0005:
            said.append(
                f"A true putt is {about(drift, 0.0, units)} {side_of(drift)} of its start line at the rig: "
                f"{fine_degrees(angle_deg(drift, station.rig.station_m))}, taken off every reading."
            )
            said += _under_the_line(station, units)
        if station.across_m:
            said.append(
                f"The rig stands {tape(abs(station.across_m), units)} {side_of(station.across_m)} of the start line; "
                "that is put back into every reading."
            )
        places = [] if putt.is_level else [(off, putt.started.leaves_at_m(off)) for off in _LEAVES_M]
        told = ", ".join(f"{about(off, 0.0, units)} at {roughly(at, units)}" for off, at in places if at is not None)
        if told:
            said.append(f"It leaves its line by {told}. Nearer the ball, a gate punishes no good putt.")
    return tuple(said)


def _under_the_line(station: Station, units: Units) -> list[str]:
    """What a line that lies on the ball's middle means where a true putt has left it."""
    rig = station.rig
    before = before_the_break_m(station.putt) if isinstance(rig, GroundLine) else None
    if before is None or rig.station_m <= before:
        return []
    middle = station.interval({"line_on": "centre"}).anchor
    return [
        f"The line on the ball's middle is no true putt here: it started {fine_degrees(middle)} {side_of(middle)} of "
        f"it. Before {roughly(before, units)} the line and a true putt agree."
    ]


def _straight(station: Station, units: Units) -> str:
    putt = station.putt
    doubt = putt.drift_doubt_m(putt.distance_m)
    known = f" ± {about(2 * doubt, 0.0, units)}" if doubt else ""
    curve = about(putt.curve_m, 0.0, units)
    if putt.is_straight:
        limit = about(STRAIGHT_M, 0.0, units)
        if abs(putt.curve_m) + 2 * doubt < STRAIGHT_M:
            return f"Straight: it ends {curve}{known} off its line at the hole, under {limit}."
        return (
            f"Straight: it ends {curve}{known} off its line at the hole, under {limit}; but the slope is "
            "not known well enough to say."
        )
    return f"Not straight: it ends {curve}{known} {side_of(putt.curve_m)} of its start line at the hole."


def _nearest(station: Station, units: Units) -> list[str]:
    putt = station.putt
    found = nearest_straight(putt.falls_forward_percent, putt.falls_right_percent, putt.distance_m)
    if putt.is_straight or found is None:
        return []
    return [
        _NEAREST[found.uphill, found.ball_back_m > 0].format(
            turn=f"{abs(found.turn_deg):.0f}°",
            beside=f"{tape(abs(found.ball_right_m), units)} {side_of(found.ball_right_m)}",
            along=tape(abs(found.ball_back_m), units),
        )
    ]


_NEAREST: Final = {
    (True, True): (
        "The nearest straight putt to this hole runs uphill, turned {turn} about it: its ball lies {beside} of this "
        "one and {along} back."
    ),
    (True, False): (
        "The nearest straight putt to this hole runs uphill, turned {turn} about it: its ball lies {beside} of this "
        "one and {along} nearer."
    ),
    (False, True): (
        "The nearest straight putt to this hole runs downhill, turned {turn} about it: its ball lies {beside} of this "
        "one and {along} back."
    ),
    (False, False): (
        "The nearest straight putt to this hole runs downhill, turned {turn} about it: its ball lies {beside} of this "
        "one and {along} nearer."
    ),
}


def _read(station: Station, units: Units) -> list[str]:
    """The coach's read beside the computed aim, and where it would bring the ball."""
    putt = station.putt
    if putt.read is None:
        return []
    computed = 0.0 if putt.is_level else putt.aim.aim_m
    apart = putt.read.offset_m - computed
    place, beside = read_words(putt.read, units), f"{about(apart, 0.0, units)} {side_of(apart)}"
    return [
        f"Your read, {place}, is as computed."
        if abs(apart) < 0.0005
        else f"Your read, {place}, is {beside} of what is computed.",
        _read_arrives(replace(putt, target="read").arrives, units),
        "Start errors are counted against your read."
        if putt.target == "read"
        else "Start errors are counted against the computed aim point.",
    ]


def _golfer_says(station: Station, units: Units) -> list[str]:
    """The golfer's own read and the slope by foot, beside the computed ones: told, never computed with."""
    putt, golfer = station.putt, station.golfer
    said: list[str] = []
    if golfer.read is not None:
        computed = 0.0 if putt.is_level else putt.aim.aim_m
        apart, place = golfer.read.offset_m - computed, read_words(golfer.read, units)
        said.append(
            f"The golfer’s read, {place}, is as computed."
            if abs(apart) < 0.0005
            else f"The golfer’s read, {place}, is {about(apart, 0.0, units)} {side_of(apart)} of what is computed."
        )
    felt = [
        falls_words(along, value)
        for along, value in ((True, golfer.falls_forward_percent), (False, golfer.falls_right_percent))
        if value is not None
    ]
    if felt:
        taken = (falls_words(True, putt.falls_forward_percent), falls_words(False, putt.falls_right_percent))
        said.append(f"Felt by foot: {', '.join(felt)}. Computed with: {', '.join(taken)}.")
    return said


def _read_arrives(it: Arrival, units: Units) -> str:
    if it.beside_m is None:
        return "Started there at this pace it would stop short of the hole."
    if abs(it.beside_m) < 0.0005:
        return "Started there at this pace it passes over the hole's centre and drops."
    off = f"{about(it.beside_m, 0.0, units)} {side_of(it.beside_m)}"
    if it.drops:
        return f"Started there at this pace it passes {off} of the hole's centre and drops."
    return f"Started there at this pace it passes {off} of the hole's centre and misses."


def _paces(station: Station, units: Units) -> str:
    paces = station.putt.paces
    if paces is None:
        return "No pace holes it on this start line."
    most = roughly(paces.most_past_m, units)
    if not paces.least_past_m:
        return f"On this start line it drops from just reaching the hole to {most} past it."
    return f"On this start line it drops from {roughly(paces.least_past_m, units)} to {most} past the hole."


def trust(station: Station, units: Units) -> tuple[str, ...]:
    """What the proof of the line is worth here, a sentence each."""
    proof, rig_m = station.proof, station.rig.station_m
    if not station.rig.reads_start:
        return (proof_words(proof, units),)
    said = [
        proof_words(proof, units),
        f"The rig's own aim is known to ± {fine_degrees(station.shared_deg)} (one standard deviation). "
        "More putts don't average that away.",
    ]
    if proof.offset_m or proof.zero_deg:
        shift = proof.correction_deg(rig_m)
        said.append(f"{fine_degrees(shift)} {side_of(shift)} is added to every reading.")
    if proof.noise_deg:
        said.append(f"Reading noise {fine_degrees(proof.noise_deg)}, from {counted(proof.checks, 'check')}.")
    hidden = budget(proof, rig_m, drift_m=station.putt.drift_doubt_m(rig_m))
    largest = hidden.contributors[0]
    said.append(
        HIDES[largest.by].format(
            total=fine_degrees(hidden.total_deg),
            size=tape(largest.length_m, units),
            bias=fine_degrees(largest.bias_deg),
        )
    )
    return tuple(said)


def tape_list(station: Station, hand: Hand, units: Units) -> tuple[str, ...]:
    """What to tape, in laying order: the line first, then the rig, then what lies beside it."""
    putt, rig = station.putt, station.rig
    said = ["Mark the ball's spot."]
    start = putt.start_deg
    aim_m = putt.distance_m * math.tan(math.radians(start))
    if abs(aim_m) < 0.0005:
        said.append(f"Line: from the spot to the hole's centre, {tape(putt.distance_m, units)} away.")
    else:
        said.append(
            f"Line: from the spot to the aim point {tape(round(abs(aim_m), 3), units)} {side_of(aim_m)} of the hole's "
            f"centre, {tape(putt.distance_m, units)} away."
        )
    said.append(CHECK[station.proof.way])
    for aid in (*((rig,) if rig.reads_start else ()), *station.aids):
        said.append(f"{aid.about.name}: {aid.sizes_said(units)}.")
        if aid is rig and station.across_m:
            across = f"{tape(abs(station.across_m), units)} {side_of(station.across_m)}"
            said[-1] = f"{aid.about.name}: {aid.sizes_said(units)}. Its middle {across} of the line."
    back = tape(station.backstroke_or_usual_m, units)
    said.append(
        f"The golfer stands on the left of the line; keep {back} clear behind the ball."
        if hand == "right"
        else f"The golfer stands on the right of the line; keep {back} clear behind the ball."
    )
    return tuple(said)
