"""One picture a kind of cause, from the readings its sentence rests on. None where nothing of it was read."""

import math
from collections.abc import Mapping, Sequence
from functools import partial
from typing import Final

from ....certainty.estimate import Estimate
from ....drawing.scene import Circle, Curve, Label, Line, Shape, box
from ....measure.constants import BALL_M, HOLE_M
from ....measure.interval import Interval
from ....measure.window import Window
from ...ledger.entry import Batch, Event
from ..case import Case, strike_at
from ..finding import Finding
from .fans import LONG, Fan, across, role_of, times_for
from .picture import Draw, Picture, Say, framed

_LANE: Final = 50.0
"""Kept free between two fans, one below the other."""
_LEAST: Final = 21.0
"""Half of what one fan takes at least."""
_SOMEWHERE: Final = 350.0
"""Where a ball is drawn that stopped short or past nobody knows how far, mm; its outline is broken."""


def one_link(name: str, case: Case, finding: Finding, say: Say, words: str) -> Picture | None:
    """A link by itself: where it points against the window, the start beside it."""
    size = finding.size or case.as_read(name)
    if size is None:
        return None
    start = case.level("start")
    # What is left of the face beside picture and mark is not where the face was read to point.
    rays = [("face_own" if finding.kind == "own" else name, size)]
    if start is not None and name != "start" and start.is_sized:
        rays.append(("start", start.bias))
    distance, window = _putted(case)
    times = times_for([window.low_deg, window.high_deg, *(end for _, it in rays for end in (it.low, it.high))])
    fan = Fan(distance, window, times)
    shapes = [
        *fan.ground(),
        *(one for _, it in rays for one in fan.estimate(it)),
        *fan.said(*((say(code, it.value), it.value) for code, it in rays)),
    ]
    if name in ("face", "impact", "address"):
        shapes.append(fan.face(size.value))
    if name == "path":
        shapes += _head(fan, size.value)
    return framed([*shapes, fan.ball()], words, times)


def turning(case: Case, finding: Finding, say: Say, words: str) -> Picture | None:
    """Face, stroke and start turning against each other: from where the face points to where the ball starts."""
    face = case.as_read("face", "address", "to_mark")
    start = case.level("start")
    if face is None or start is None or not start.is_sized:
        return None
    distance, window = _putted(case)
    ends = (face.low, face.high, start.bias.low, start.bias.high)
    times = times_for([window.low_deg, window.high_deg, *ends])
    fan = Fan(distance, window, times)
    shapes = [*fan.ground(), *fan.estimate(face), *fan.estimate(start.bias), fan.face(face.value)]
    # The stroke takes it from the one to the other: an arrow across, halfway out, named beside the face's ray.
    far = 0.5 * LONG
    here, there = across(face.value, times, far), across(start.bias.value, times, far)
    tip, out = math.copysign(16.0, there - here), math.copysign(1.0, here - there)
    shapes += [
        Curve(((far, here), (far, there)), "path"),
        Curve(((far - 11, there - tip), (far, there), (far + 11, there - tip)), "path"),
        Label(far - 16, here + 14 * out + 6, say("stroke", start.bias.value - face.value), "end"),
    ]
    beside = fan.said(*((say(code, it.value), it.value) for code, it in (("face", face), ("start", start.bias))))
    return framed([*shapes, *beside, fan.ball()], words, times)


def lengths(case: Case, finding: Finding, say: Say, words: str) -> Picture | None:
    """The same fan at each length, each as long as its putt, one below the other."""
    found = case.growth
    if found is None:
        return None
    longest = max(it.distance_m for it in found.lengths)
    windows = {it.putted.distance_m: it.putted.window for it in case.own if it.putted}
    _, usual = _putted(case)
    told = [(it, windows.get(it.distance_m, usual), LONG * it.distance_m / longest) for it in found.lengths]
    times = times_for([end for it, _, _ in told for end in (it.bias.low, it.bias.high)], 400.0)
    shapes: list[Shape] = []
    y = 0.0
    for it, window, long in told:
        ends = [across(deg, times, long) for deg in (it.bias.low, it.bias.high, window.low_deg, window.high_deg)]
        y += max(_LEAST, -min(ends))
        fan = Fan(it.distance_m, window, times, y, long)
        shapes += [*fan.ground(), *fan.estimate(it.bias), fan.ball()]
        shapes += fan.said((f"{say('length', it.distance_m)}: {say('bias', it.bias.value)}", it.bias.value))
        y += max(_LEAST, max(ends)) + _LANE / 2
    return framed(shapes, words, times)


def rod(case: Case, finding: Finding, say: Say, words: str) -> Picture | None:
    """The rod where it points, and where it looks as if it pointed."""
    picture = case.level("looks_straight")
    if picture is None or picture.count == 0:
        return None
    seen = -picture.bias.value
    distance, window = _putted(case)
    times = times_for([window.low_deg, window.high_deg, -picture.bias.low, -picture.bias.high])
    fan = Fan(distance, window, times)
    end = 0.8 * LONG
    shapes: list[Shape] = [
        *fan.ground(),
        box(40, -5, end, 5, "board"),
        Curve(((40, across(seen, times, 40)), (end, across(seen, times, end))), role_of(seen)),
        fan.ball(),
        *fan.said((say("lies", 0.0), 0.0), (say("looks", seen), seen)),
    ]
    return framed(shapes, words, times)


def strikes(case: Case, finding: Finding, say: Say, words: str) -> Picture | None:
    """Where the ball met the face, seen from behind the ball; what was only noted heel or toe lies in its third."""
    at = [it for event in case.events("strike") if (it := strike_at(event)) is not None]
    if not at:
        return None
    sign = case.ledger.toe_sign
    shapes: list[Shape] = [
        box(-52, -14, 52, 14, "board"),
        *(Line(x, -14, x, -9, "mark") for x in range(-50, 51, 10)),
        Line(0, -20, 0, 20, "line"),
        Label(-60 * sign, 4, say("heel", 0), "end" if sign > 0 else "start"),
        Label(60 * sign, 4, say("toe", 0), "start" if sign > 0 else "end"),
    ]
    stacked: dict[int, int] = {}
    for toe in at:
        n = stacked[round(toe)] = stacked.get(round(toe), 0) + 1
        # Putts struck at one spot stand above each other below the face, so that they can be counted.
        shapes.append(Circle(toe * sign, 14 + 4.6 * n, 2.1, "post"))
    if finding.size is not None:
        low, high = sorted((finding.size.low * sign, finding.size.high * sign))
        shapes.append(box(low, -3, high, 3, "window"))
        shapes.append(Line(finding.size.value * sign, -8, finding.size.value * sign, 8, "limit"))
    return framed(shapes, words, 0, left=60, right=60)


def two_ways(case: Case, kinds: Mapping[str, Sequence[float]], say: Say, words: str) -> Picture | None:
    """Putts of two kinds as two fans, one below the other; of each where its putts started, degrees."""
    if not all(kinds.values()):
        return None
    distance, window = _putted(case)
    every = [deg for degs in kinds.values() for deg in degs]
    times = times_for([window.low_deg, window.high_deg, *every], 330.0)
    shapes: list[Shape] = []
    y = 0.0
    for code, degs in kinds.items():
        ends = [across(deg, times) for deg in (*degs, window.low_deg, window.high_deg)]
        y += -min(ends)
        fan = Fan(distance, window, times, y)
        shapes += [*fan.ground(), *(fan.putt(it) for it in degs), fan.ball(), *fan.said((say(code, len(degs)), 0.0))]
        y += max(ends) + _LANE
    return framed(shapes, words, times)


def stopped(case: Case, finding: Finding, say: Say, words: str) -> Picture | None:
    """Where the balls stopped round the hole, true to scale from above; of a read that is off, both lines."""
    if finding.kind == "read_off" and finding.size is not None:
        return _two_lines(case, finding.size, ("holes", "read"), say, words)
    told = [it for it in case.events("holed") if str(it.values.get("stopped", "")) in ("short", "past", "holed")]
    missed = [at for it in told if (at := _stopped_at(it)) is not None]
    if not missed:
        return None
    pace = case.pace
    zone = 1000 * pace.zone_m if pace is not None else 0.0
    reach = max([400.0, *(abs(x) for x, _, _ in missed)])
    ball = max(1000 * BALL_M / 2, reach / 60)
    shapes: list[Shape] = [box(0, -0.16 * reach, zone, 0.16 * reach, "window")] if zone else []
    shapes += [Line(-1.1 * reach, 0, 1.1 * reach, 0, "line"), Circle(0, 0, max(500 * HOLE_M, reach / 30), "hole")]
    stacked: dict[tuple[int, int], int] = {}
    for x, side, known in missed:
        n = stacked[round(x / ball / 2), side] = stacked.get((round(x / ball / 2), side), 0) + 1
        # Of those that are told to neither side, every other one lies to each.
        y = (side or (-1) ** n) * (0.5 + (n if side else n // 2)) * 2.2 * ball
        shapes.append(Circle(x, y, ball, "ball" if known else "ghost"))
    holed, beside = len(told) - len(missed), max(1.2 * reach, zone + 0.1 * reach)
    shapes.append(Label(beside, 5, say("holed", holed), "start"))
    if not all(known for _, _, known in missed):
        shapes.append(Label(beside, 5 + 0.14 * reach, say("untold", 0), "start"))
    return framed(shapes, words, 0, left=0.05 * reach, right=0.6 * reach)


def laid(case: Case, finding: Finding, say: Say, words: str) -> Picture | None:
    """The line as it was laid, and the true one."""
    return None if finding.size is None else _two_lines(case, finding.size, ("true", "laid"), say, words)


def inside(case: Case, say: Say, words: str) -> Picture | None:
    """Where nothing is to be mended: the putts inside the window."""
    degs = starts_of(case.own)
    if not degs:
        return None
    distance, window = _putted(case)
    times = times_for([window.low_deg, window.high_deg, *degs])
    fan = Fan(distance, window, times)
    beside = fan.said((say("starts", len(degs)), 0.0))
    return framed([*fan.ground(), *(fan.putt(it) for it in degs), fan.ball(), *beside], words, times)


def link(name: str) -> Draw:
    """The picture of a cause that is one link, by the quantity that tells it."""
    return partial(one_link, name)


def _two_lines(case: Case, off: Estimate, codes: tuple[str, str], say: Say, words: str) -> Picture:
    distance, window = _putted(case)
    times = times_for([window.low_deg, window.high_deg, off.low, off.high])
    fan = Fan(distance, window, times)
    beside = fan.said((say(codes[0], 0.0), 0.0), (say(codes[1], off.value), off.value))
    shapes = [*fan.ground(), *fan.estimate(off), fan.ball(), *beside]
    return framed(shapes, words, times)


def _head(fan: Fan, deg: float) -> list[Shape]:
    """Which way the head goes through the ball: an arrow."""
    back, far = -70.0, 170.0
    one, other = across(deg, fan.times, back), across(deg, fan.times, far)
    return [
        Curve(((back, one), (far, other)), "path"),
        Curve(((far - 20, other - 13), (far, other), (far - 20, other + 13)), "path"),
    ]


def _putted(case: Case) -> tuple[float, Window]:
    """The putt a lesson was putted on as usual; where none was, the golfer's usual one."""
    told = next((it.putted for it in reversed(case.own or case.putted) if it.putted), None)
    if told is not None:
        return told.distance_m, told.window
    ledger = case.ledger
    return ledger.lengths_m[0], ledger.mix.windows[0]


def starts_of(blocks: Sequence[Batch]) -> list[float]:
    """Where the putts of some blocks started, degrees."""
    return [it.anchor for block in blocks for it in block.read("start")]


def _stopped_at(it: Event) -> tuple[float, int, bool] | None:
    """Where a ball stopped, mm past the hole, to which side, and whether somebody said how far; None for one holed."""
    roll, kind = it.values.get("roll_past"), it.values.get("stopped")
    if kind == "holed":
        return None
    side = {"left": -1, "right": 1}.get(str(it.values.get("missed_side", "")), 0)
    if isinstance(roll, Interval) and math.isfinite(roll.low) and math.isfinite(roll.high):
        return 1000 * roll.anchor, side, True
    least = abs(1000 * roll.anchor) if isinstance(roll, Interval) else 0.0
    return (1 if kind == "past" else -1) * max(_SOMEWHERE, least), side, False
