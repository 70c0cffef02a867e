"""Stand-ins: two of one golfer see the same strokes; what is asked to go wrong does; nothing unanswered is lost."""

import time

import pytest

from libella.core.start.stroke import checked_measures
from libella.standins import device
from libella.standins.device import FAULTS, Habit, run
from libella.standins.link import Link


class Recorder(Link):
    """A link that answers at once and remembers what it was told; `answers` false: the line is dead."""

    def __init__(self) -> None:
        super().__init__("http://nowhere", "token", "test")
        self.told: list[dict] = []
        self.drops = 0
        self.answers = True

    def _deliver(self, message):
        if not self.answers:
            return None
        self._socket = object()
        self.told.append(message)
        return {"outcome": "kept"}

    def drop(self) -> None:
        self.drops += 1
        self._socket = None

    def strokes(self) -> list[dict]:
        return [it for it in self.told if it["kind"] == "stroke"]


@pytest.fixture(autouse=True)
def quick_clock(monkeypatch):
    """Time passes as fast as it is waited for."""
    now = [1_800_000_000.0]
    monkeypatch.setattr(time, "time", lambda: now[0])
    monkeypatch.setattr(time, "sleep", lambda seconds: now.__setitem__(0, now[0] + max(seconds, 0.001)))
    return now


def told(kind, quick_clock, *faults, strokes=12):
    quick_clock[0] = 1_800_000_000.0
    link = Recorder()
    run(link, kind, Habit(every_s=4.0, strokes=strokes, faults=frozenset(faults)))
    return link


def test_two_stand_ins_see_the_same_strokes_at_the_same_moments(quick_clock):
    face, board = (told(kind, quick_clock).strokes() for kind in ("face_and_path", "start_board"))
    assert [it["at"] for it in face] == [it["at"] for it in board] and len(face) == 12
    gaps = []
    for one, other in zip(face, board, strict=True):
        impact, path = one["measures"]["face_impact_deg"] - 0.3, one["measures"]["path_deg"]
        gaps.append(0.85 * impact + 0.15 * path - other["measures"]["start_deg"])
    assert max(map(abs, gaps)) < 1.0
    for it in (*face, *board):
        checked_measures(it["measures"])


def test_between_strokes_the_face_is_told_still_and_a_level_its_tilt(quick_clock):
    still = [it["measures"]["face_deg"] for it in told("face_and_path", quick_clock).told if it["kind"] == "still"]
    assert len(still) > 40 and sum(still) / len(still) == pytest.approx(0.3, abs=0.05)
    level = told("level", quick_clock).told
    assert {it["kind"] for it in level} == {"level"} and level[0]["measures"]["along_percent"] == pytest.approx(
        0.8, abs=0.2
    )


def test_what_goes_wrong_on_request_goes_wrong(quick_clock):
    plain = [it["stroke_id"] for it in told("face_and_path", quick_clock).strokes()]
    twice = [it["stroke_id"] for it in told("face_and_path", quick_clock, "twice").strokes()]
    assert len(twice) > len(set(twice)) == 12
    late = [it["stroke_id"] for it in told("face_and_path", quick_clock, "late").strokes()]
    assert late != plain and sorted(late) == sorted(plain)
    nonsense = told("face_and_path", quick_clock, "nonsense", strokes=30).strokes()
    assert any(it["measures"].get("face_impact_deg") == 400.0 for it in nonsense)
    zero = [
        it["measures"]["face_deg"] for it in told("face_and_path", quick_clock, "zero").told if it["kind"] == "still"
    ]
    assert sum(zero) / len(zero) == pytest.approx(2.0, abs=0.05)
    assert told("face_and_path", quick_clock, "drop", strokes=30).drops > 0
    assert set(FAULTS) == {"drop", "twice", "late", "noise", "zero", "nonsense"} and device.GOLFER.spread_deg > 0


def test_what_was_not_answered_is_sent_again_in_order_and_stills_are_let_go():
    link = Recorder()
    link.answers = False
    for n in range(3):
        link.send(link.message("stroke", {"path_deg": 1.0}, stroke_id=str(n)))
    link.send(link.message("still", {"face_deg": 0.1}), lasting=False)
    assert len(link.unanswered) == 3 and link.told == []
    link.answers = True
    link.flush()
    assert [it["stroke_id"] for it in link.told] == ["0", "1", "2"] and link.unanswered == []


def test_what_the_server_can_not_keep_just_now_goes_on_waiting():
    link = Recorder()
    answers = [{"outcome": "refused", "problem": {"status": 503}}, {"outcome": "refused", "problem": {"status": 422}}]
    link._deliver = lambda message: answers.pop(0)
    link.send(link.message("stroke", {"path_deg": 1.0}, stroke_id="a"))
    assert len(link.unanswered) == 1
    link.flush()
    assert link.unanswered == []
