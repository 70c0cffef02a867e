"""What is said under Start."""

from ...core.instruments import Rig, lay
from ...core.measure.flag import lessened
from ...core.set.station import Station
from ...core.start.clock import Clock
from ...core.start.ladder import rung
from ...core.start.pauses import Nudge
from ...core.start.turns import Plan, turn
from ..shared.flags import flag_choices, lessened_words
from ..start.ladder import rung_words
from ..start.run import nudge_words, turn_words
from ..start.sensors import clock_words, silent_words, zero_words
from .reading import Reading
from .samples import PUTTS, gate, rigs


def start_aloud(it: Reading) -> None:
    plan = Plan(2, 4, "alternating", 2)
    for done in ((0, 0), (2, 0), (1, 2), (4, 3), (4, 4)):
        it.say("start", turn_words, turn(plan, done), ("as usual", "wide base"), "start")
        it.say("start", turn_words, turn(plan, done), ("line", "near spot"), "aim")
    for nudge in (Nudge("rest", 12), Nudge("feet", 15), Nudge("spot", 1), Nudge("spot", 12)):
        it.say("start", nudge_words, nudge)
    pegs, board = Station(PUTTS[0], gate(it.units)), Station(PUTTS[0], _board(it))
    narrow = lay("peg_gate", {"inside_width_m": 0.0445})
    assert isinstance(narrow, Rig)
    zones = {zone.name: zone.raw for zone in pegs.rig.zones(it.units)}
    through, left = list(zones.values())[len(zones) // 2], next(iter(zones.values()))
    for clean in range(11):
        raws = [through] * clean + [left] * (10 - clean)
        for station in (pegs, Station(PUTTS[0], narrow)):
            it.say("start", rung_words, rung(raws, station), station, it.units)
            it.say("start", rung_words, rung(raws[:4], station), station, it.units)
            it.say("start", rung_words, rung(raws * 6, station), station, it.units)
    it.say("start", rung_words, rung([], board), board, it.units)
    for face in (0.0, 0.6, -0.6):
        it.say("start", zero_words, face, 0.1)
    for behind, doubt, known in ((0.2, 0.5, True), (25.0, 1.5, True), (-31.0, 2.0, True), (0.0, 3.0, False)):
        for strokes, unmatched in ((1, 0), (1, 1), (12, 0), (12, 1), (12, 9)):
            it.say("start", clock_words, Clock(behind, doubt, known, {}), strokes, unmatched)
    for weights in ((1.0, 1.0), (0.5, 1.0), (0.5, 0.25, 0.125), (0.25,)):
        it.say("start", lessened_words, lessened(weights))
    it.say("start", flag_choices)
    for seconds in (61, 95, 600, 30000):
        it.say("start", silent_words, seconds)


def _board(it: Reading) -> Rig:
    return next(rig for rig in rigs(it.units) if rig.about.kind == "board")
