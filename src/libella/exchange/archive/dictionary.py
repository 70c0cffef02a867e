"""The data dictionary: what each column says, in words. What stands with the table says it first; what several tables
share, or what its name says, stands here."""

from collections.abc import Mapping
from typing import Final

from ...store.whole.kinds import FILES, Column, Kind

_SHARED: Final[Mapping[str, str]] = {
    "id": "its own id, a UUIDv7: it stays the same wherever it is read",
    "voided": "true: taken out of all that counts; the record keeps it",
    "voided_at": "when it was taken out of all that counts; empty: it counts",
    "void_reason": "why it was taken out; empty: nothing was said",
    "reason": "why; empty: nothing was said",
    "recorded_at": "when it reached the database",
    "received_at": "when it reached the database",
    "taken_at": "when it was read or given; of a file of putts: when it was taken in",
    "given_at": "when the file was given",
    "marked_at": "when it was voided or brought back",
    "started_at": "when it began",
    "ended_at": "when it ended; empty: not yet",
    "made_at": "when it was made or noted",
    "kept_at": "when it was kept",
    "laid_at": "when it was laid",
    "played_at": "when the round was played",
    "done_at": "when it was done",
    "answered_at": "when the coach said it",
    "asked_at": "when its pairing was asked for",
    "paired_at": "when it was paired; empty: never",
    "unpaired_at": "when it was let go; empty: not",
    "tapped_at": "when the coach tapped, by the clock of this program",
    "starts_at": "the first day of the plan",
    "updated_at": "when anything of it was last changed",
    "put_away_at": "when it was taken out of the list; empty: not",
    "code_until": "until when its pairing code held",
    "name": "its name, as the coach wrote it",
    "place": "where it is, or where the lesson was given",
    "coach": "the coach's name",
    "notes": "what the coach noted; of a putt: by the kind of note (see the notes in putts.md)",
    "note": "what the coach wrote on it",
    "words": "what was said, in the coach's words",
    "conditions": "weather, light and whatever else held for the lesson",
    "hand": "right or left: the side the golfer putts from",
    "level": "how well the golfer putts, as the coach sees it",
    "invented": "true: of the invented demo, of nobody real",
    "number": "its number, from 1",
    "bands": "the bands by level and quantity, as the coach set them",
    "mapping": "how the columns of a file are read",
    "surface": "what was putted on",
    "units": "of lengths on its papers: metric, or feet and inches",
    "green_speed_ft": "green speed on the ramp",
    "distance_m": "ball to the hole's centre",
    "past_m": "pace: how far past the hole a miss would run",
    "capture": "how the hole takes the ball: helped by the rim, or by free fall alone",
    "rig_kind": "the instrument that watched the start",
    "rig_sizes_m": "its dimensions, m",
    "falls_forward_percent": "slope along the line, downhill to the hole positive",
    "falls_right_percent": "slope across the line, falling to the right positive",
    "falls_doubt_percent": "how far the slope may be off, half a 90 % interval",
    "target": "what counts as the right start: as computed, or as the coach read it",
    "across_m": "how far the rig stands from the line, right positive",
    "backstroke_m": "room the stroke needs behind the ball; empty: what is usual",
    "putts": "how many putts were taken in",
    "skipped": "how many rows were left out",
    "first": "the key of one of the lines",
    "second": "the key of the other",
    "cause": "which finding it is said of",
    "answer": "agreed, or not, or left open",
    "told": "what the tool said of it then",
    "device_id": "how the device names itself; empty: never paired",
    "values": "what was noted of the set-up, by entry; names of numbers end in their unit",
    "again_of": "the first of its run, where it was taken again; empty: it is the first",
    "kind": "which instrument it is",
    "raw": "the reading as it was tapped",
    "each": "putts or set-downs each way",
    "run": "how many in a row before it turns",
    "seed": "what the drawn order follows from",
    "bare": "true: nothing helped",
    "face_deg": "what it reads when square, taken off each of its readings",
    "noise_deg": "how far single readings of a still putter lie apart",
    "condition": "what stayed the same through it",
    "trace": "along which way the golfer looked",
    "eyes": "with which eyes",
    "glasses": "with or without glasses",
    "playable": "true: the golfer could putt from there",
    "looker": "who told sides against the string over the line: golfer or coach; empty: not said",
    "comfort": "how comfortable it felt, 1 to 5; empty: not said",
    "trust": "how far it was trusted, 1 to 5; empty: not said",
    "cue": "what the face was aimed by",
    "sizes": "the instrument's dimensions; names end in their unit",
    "planned": "how many were planned",
    "guided": "true: the rig stood in the golfer's view",
    "ball_ahead_m": "how far the ball lay ahead of the arc's lowest point",
    "high_deg": "upper limit of the start error, right positive; empty: open",
    "flags": "what lowers its weight: see `core.measure.flag`",
}


def says_of(kind: Kind, it: Column) -> str:
    """What a column says; every column has words, held by a test."""
    if file := FILES.get((kind.name, it.name)):
        return f"the file in the archive it lies in: {file[0]}/<id>.{file[1]}"
    if it.says:
        return it.says
    refers = dict(kind.refers)
    if it.name in refers:
        return f"the id of its {refers[it.name].replace('_', ' ')}"
    return _SHARED[it.name]
