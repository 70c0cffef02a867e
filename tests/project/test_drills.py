"""Change drills: each thing that comes again and again is added in one place, and found everywhere it has to be."""

import ast
import re
import subprocess

import pytest

from libella.core.certainty.matter import MATTERS, Matter
from libella.core.measure.limits import Bounds
from libella.core.see.position import LEVERS, LeverWords, position_of
from libella.core.set.kit import PARTS, Part
from libella.core.stand.set_up import ENTRIES, Entry, checked
from libella.core.start.notes import NOTES, Note
from libella.exchange.putt_file import FORMS, Form
from libella.words.see.position import position_words
from libella.words.vocabulary import ENTRIES as SIZES
from libella.words.vocabulary import EntryWords
from tests.said import beside

from ..conftest import ROOT, now


@pytest.fixture
def light(monkeypatch):
    """A note that is nowhere but here."""
    monkeypatch.setitem(NOTES, "light", Note("Light", "How was the light?", {"sun": "in the sun", "shade": "in shade"}))
    return "light"


def test_a_note_of_a_putt_is_one_entry(light, coach):
    """Listed for the screen, asked by a block, kept with the putt, refused when it can't be, tabulated."""
    [told] = [it for it in coach.get("/notes") if it["note"] == light]
    assert told["options"] == {"sun": "in the sun", "shade": "in shade"}
    block = coach.block(asks=[light])
    coach.putt(block["id"], {"offset_m": 0.01}, notes={light: "sun"})
    refused = coach.putt(block["id"], {"offset_m": 0.01}, status=422, notes={light: "dark"})
    assert refused["errors"][0]["field"] == f"notes.{light}"
    # Every page that tells what was read knows of it: the block, the lesson.
    told = [
        *coach.get(f"/blocks/{block['id']}/read")["read"],
        *coach.get(f"/lessons/{block['lesson_id']}/findings")["read"],
    ]
    assert [it["words"].split(" of ")[0] for it in told if it["name"] == "Light"] == ["1 in the sun"] * 2


def test_a_note_that_is_a_size_is_told_as_one(monkeypatch, coach):
    size = Note("Grip", "How far down?", bounds=Bounds(0.0, 0.3, "m"), step=0.01, table="sizes")
    monkeypatch.setitem(NOTES, "grip_m", size)
    block = coach.block(asks=["grip_m"])
    for _ in range(4):
        coach.putt(block["id"], {"offset_m": 0.01}, notes={"grip_m": 0.05})
    [told] = [it for it in coach.get(f"/blocks/{block['id']}/read")["read"] if it["name"] == "Grip"]
    assert told["words"].startswith("50 mm") and "from 4 putts" in told["words"]


def _window():
    from libella.core.green.putt import Putt

    return Putt(2.5, 0.3, 10).window


def test_an_instrument_is_one_class(hoop, coach):
    """Found by the registry, listed, proposed, laid, drawn, read and judged."""
    assert hoop in {it["about"]["kind"] for it in coach.get("/instruments")}
    lesson = coach.lesson()
    station = coach.station(lesson["id"], hoop)
    assert "hoop" in station["words"]
    body = {"station_id": station["id"], "condition": "as usual", "guided": False, "planned": 3, "started_at": now()}
    block = coach.put("/blocks/0198f5a0-0000-7000-8000-000000000001", **body)
    for _ in range(3):
        coach.putt(block["id"], {"crossing": "clean"})
    assert coach.judged(block["id"])["judgement"]["final"]
    assert hoop in {it["kind"] for it in coach.client.post(
        "/api/stations/propose", json={"distance_m": 2.5, "past_m": 0.3, "green_speed_ft": 10}).json()}  # fmt: skip


def test_a_lever_of_the_map_is_one_entry(monkeypatch, coach):
    lean = LeverWords("Lean", "deg", "leaned forward", "leaned back", 10, 1, 4, 0.2)
    monkeypatch.setitem(LEVERS, "lean", lean)
    assert "lean" in {it["lever"] for it in coach.get("/levers")}
    assert position_words({"lean": 3.0}, "metric") == "3° leaned forward"
    assert position_of({"chin": 2.0}) == {"chin": 2.0}


def test_an_entry_of_a_set_up_is_one_entry(monkeypatch, coach):
    monkeypatch.setitem(ENTRIES, "hat", Entry("Hat", "head_and_eyes", "words", options={"on": "on", "off": "off"}))
    assert checked({"hat": "on"}) == {"hat": "on"}
    assert "hat" in {it["name"] for it in coach.get("/set-up-entries")}
    assert [it.change for it in beside({"hat": "on"}, {"hat": "off"}, "metric")] == ["was off"]


def test_a_part_of_the_kit_is_one_entry(monkeypatch, coach):
    monkeypatch.setitem(PARTS, "towel", Part("towel", {"dry": "dry"}))
    assert coach.get("/bag")["names"]["towel"] == "towel"
    assert coach.put("/bag", parts={"towel": 1})["parts"]["towel"] == 1
    lesson = coach.lesson()
    assert coach.put(f"/lessons/{lesson['id']}/kit", ticked=["towel.dry"])["kit_checked"] == ["towel.dry"]


def test_a_size_on_a_screen_is_one_entry(monkeypatch, coach):
    monkeypatch.setitem(SIZES, "sock_m", EntryWords("Sock", "", "m", 0.0, 0.1, 0.01))
    assert coach.get("/vocabulary")["entries"]["sock_m"]["high"] == 0.1


def test_what_matters_is_one_row(monkeypatch):
    from libella.core.estimate import START, posterior, summarise
    from libella.core.measure.interval import Interval

    reads = [Interval(it - 0.1, it + 0.1) for it in (0.2, 0.3, 0.1, 0.25, 0.2, 0.3)]
    usual = summarise(posterior(reads, START), _window()).cost.small
    monkeypatch.setitem(MATTERS, "start", Matter(0.2, 0.5, "putts in a hundred"))
    assert summarise(posterior(reads, START), _window()).cost.small < usual


def test_the_front_end_types_no_limit_and_no_code_again():
    """Limits come from the vocabulary or with an instrument; names of codes come with them."""
    sources = subprocess.run(
        ["git", "ls-files", "ui/src"], cwd=ROOT, capture_output=True, text=True, check=True
    ).stdout.split()
    for name in sources:
        if name.endswith(".svelte"):
            text = (ROOT / name).read_text()
            assert not re.search(r"\b(low|high)=\{-?[\d.]+\}", text), name


# What names itself in its own entry (decision 0021): instruments, notes, levers, entries, parts, templates; and
# drawings, which say what they show to whoever can't see them.
NAME_THEMSELVES = re.compile(
    r"core/(instruments/|start/notes|start/stroke|see/position|stand/set_up|set/kit|keep/templates"
    r"|drawing/|golfer/level|certainty/matter|\w+/\w*drawn|set/layout|keep/card|green/putt|see/eyes|see/straight)"
)


def test_another_language_needs_other_words_alone():
    """No sentence stands in core or in the use cases but in entries that name themselves."""
    guilty = []
    for path in subprocess.run(
        ["git", "ls-files", "src/libella/core/*.py", "src/libella/lessons/*.py"],
        cwd=ROOT, capture_output=True, text=True, check=True,
    ).stdout.split():  # fmt: skip
        if NAME_THEMSELVES.search(path):
            continue
        tree = ast.parse((ROOT / path).read_text())
        bodies = [it.body for it in ast.walk(tree) if isinstance(getattr(it, "body", None), list)]
        docs = {id(one.value) for body in bodies for one in body if isinstance(one, ast.Expr)}
        raised = {id(one) for it in ast.walk(tree) if isinstance(it, ast.Raise) for one in ast.walk(it)}
        for it in ast.walk(tree):
            if not isinstance(it, ast.Constant) or not isinstance(it.value, str) or id(it) in docs | raised:
                continue
            if re.search(r"[a-z]{2,} [a-z]+ [a-z]+", it.value) and not re.search(r"libella\.|^set local", it.value):
                guilty.append(f"{path}: {it.value[:60]}")
    assert guilty == []


def test_a_form_in_which_putts_go_out_is_one_entry(monkeypatch, coach):
    monkeypatch.setitem(FORMS, "txt", Form("text/plain", lambda putts: f"{len(putts)} of them"))
    block = coach.block()
    coach.putt(block["id"], {"offset_m": 0.01})
    answer = coach.client.get(f"/api/exports/block/{block['id']}", params={"form": "txt"})
    assert answer.text == "1 of them" and '.txt"' in answer.headers["content-disposition"]
    refused = coach.client.get(f"/api/exports/block/{block['id']}", params={"form": "doc"})
    assert refused.status_code == 422 and "csv, json, txt" in refused.json()["errors"][0]["limit"]
