"""Change drills: each thing that comes again and again is added in one place, and found everywhere it has to be."""

import ast
import json
import os
import re
import subprocess
import sys
from typing import get_args

import pytest

from libella.api.keep import imports
from libella.core.aim.picture import Does
from libella.core.certainty.estimate import Estimate
from libella.core.certainty.matter import MATTERS, Matter
from libella.core.judge.findings.finding import Fact, Finding, called, needs
from libella.core.judge.findings.pictures.drawn import link
from libella.core.judge.findings.ranked import RULES
from libella.core.judge.findings.rule import Rule
from libella.core.measure.limits import Bounds, OutOfLimits
from libella.core.measure.written_units import WRITTEN, WrittenUnit
from libella.core.see.position import LEVERS, LeverWords, position_of
from libella.core.set.kit import PARTS, Part
from libella.core.stand.set_up import ENTRIES, Entry, checked
from libella.core.start.notes import NOTES, Note
from libella.exchange import file_work
from libella.exchange.book import Book
from libella.exchange.forms_in import FORMS_IN, FormIn
from libella.exchange.putt_file import FORMS, Form
from libella.exchange.sheet import read_sheet
from libella.words.see.position import position_words
from libella.words.vocabulary import ENTRIES as SIZES
from libella.words.vocabulary import EntryWords
from tests.said import beside

from ..api.keep.test_imports import give, read
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
    assert told["words"].startswith("5 cm") and "from 4 putts" in told["words"]


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


def _sits(case):
    """A cause nobody thought of: seen wherever ten starts were read, worth six putts in a hundred."""
    start = case.level("start")
    facts = (Fact("read", "for", start.bias, number=start.count, at=start.at, name="the sun stood"),) if start else ()
    missing = needs(("starts", case.ledger.count("start"), 10))
    call = called(0.97, 0.0, 0.0, missing, cost=6.0)
    return Finding("sun", Estimate(6.0, 3.0, 9.0), call, start and start.bias, "deg", facts, missing)


def test_a_finding_is_one_entry(monkeypatch, coach):
    """Judged, ranked, named with its size and what usually helps, answered by its coach."""
    monkeypatch.setitem(RULES, "sun", Rule("sun", "Sun in the eyes", "Wear a cap.", _sits, link("start"), "sun"))
    block = coach.block(planned=12)
    asked = coach.get(f"/lessons/{block['lesson_id']}/findings")
    [few] = [it for it in asked["more"] if it["cause"] == "sun"]
    assert few["name"] == "Sun in the eyes" and few["missing"].startswith("To be more than a question it needs 10")
    for n in range(12):
        coach.putt(block["id"], {"offset_m": 0.02 + 0.005 * (n % 2)})
    told = coach.get(f"/lessons/{block['lesson_id']}/findings")
    assert "Sun in the eyes" in told["headline"] and "Sun in the eyes" in told["for_golfer"]
    [sun] = [it for it in told["first"] if it["cause"] == "sun"]
    assert sun["words"].startswith("Sun in the eyes 1.") and sun["change"] == "Wear a cap."
    assert sun["picture"]["words"] == sun["words"] and told["picture"]["shapes"] == sun["picture"]["shapes"]
    assert sun["speaks_for"][0]["words"].startswith("The sun stood 1.")
    answer = {"lesson_id": block["lesson_id"], "cause": "sun", "answer": "accepted", "answered_at": now()}
    assert "6 in a hundred" in coach.put("/finding-answers/0198f5a0-0000-7000-8000-000000000009", **answer)["then"]
    refused = coach.put(
        "/finding-answers/0198f5a0-0000-7000-8000-000000000008", status=422, **answer | {"cause": "moon"}
    )
    assert refused["errors"][0]["field"] == "cause" and "sun" in refused["errors"][0]["limit"]


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


def test_a_unit_is_one_entry(monkeypatch, coach):
    """Read in a file's heading and in its cells, offered for a column, refused with, known where lengths are typed."""
    monkeypatch.setitem(WRITTEN, "pace", WrittenUnit("length", 0.75, ("paces",)))
    assert coach.get("/vocabulary")["lengths"]["paces"] == 0.75
    given = give(coach, coach.golfer(), "start (deg),distance (paces)\n0.5,4\n-0.2,2 paces\n")
    [distance] = [it for it in given["mapping"]["columns"] if it["target"] == "distance_m"]
    assert distance["unit"] == "pace"
    assert "pace" in next(it for it in given["targets"] if it["name"] == "distance_m")["units"]
    told = read(coach, given)["read_out"]
    assert "3.00 m" in told[0] and "1.50 m" in told[1]
    columns = [it | ({"unit": "mile"} if it == distance else {}) for it in given["mapping"]["columns"]]
    refused = coach.put(f"/imports/{given['id']}/mapping", status=422, **given["mapping"] | {"columns": columns})
    assert "pace" in refused["errors"][0]["limit"]


def test_a_form_of_file_is_one_entry(monkeypatch, coach):
    """Known by its bytes, offered where a file is chosen, read out like any other, and refused by its own reason."""

    def table(content):
        if b"@" not in content:
            raise OutOfLimits("file", "file_no_putt")
        return Book("start (deg)\n" + content.decode().removeprefix("%putts").replace("@", "\n"), "", ())

    monkeypatch.setitem(FORMS_IN, "at", FormIn((".at",), lambda it: it.startswith(b"%putts"), table))
    # The process that reads files finds an entry that is written down; this one is known here alone.
    for module in (imports, file_work):
        monkeypatch.setattr(module, "read_apart", read_sheet)
    assert ".at" in coach.get("/vocabulary")["file_endings"]
    told = read(coach, give(coach, coach.golfer(), "%putts@0.5@-0.2"))
    assert told["good"] == 2 and "0.50° right" in told["read_out"][0]
    assert give(coach, coach.golfer(), "%putts", status=422)["errors"][0]["field"] == "file"


def test_what_matters_is_one_row(monkeypatch):
    from libella.core.estimate import START, posterior, summarise
    from libella.core.measure.interval import Interval

    reads = [Interval(it - 0.1, it + 0.1) for it in (0.2, 0.3, 0.1, 0.25, 0.2, 0.3)]
    usual = summarise(posterior(reads, START()), _window()).cost.small
    monkeypatch.setitem(MATTERS(), "start", Matter(0.2, 0.5, "putts in a hundred"))
    assert summarise(posterior(reads, START()), _window()).cost.small < usual


def test_the_front_end_types_no_limit_and_no_code_again():
    """Limits come from the vocabulary or with an instrument; names of codes come with them."""
    sources = subprocess.run(
        ["git", "ls-files", "ui/src"], cwd=ROOT, capture_output=True, text=True, check=True
    ).stdout.split()
    for name in sources:
        if name.endswith(".svelte"):
            text = (ROOT / name).read_text()
            assert not re.search(r"\b(low|high)=\{-?[\d.]+\}", text), name


# What names itself in its own entry (decision 0021): instruments, causes, notes, levers, entries, parts, templates; and
# drawings, which say what they show to whoever can't see them.
NAME_THEMSELVES = re.compile(
    r"core/(instruments/|judge/findings/rules/|start/notes|start/stroke|see/position|stand/set_up|set/kit|keep/templates"
    r"|change/proposal|change/proposed/|change/topic|change/drills/|schools/|drawing/|golfer/level|certainty/matter|\w+/\w*drawn|set/layout|keep/card|green/putt|see/eyes|see/straight)"
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


class Shouted(ast.NodeTransformer):
    """A language in which every word is shouted; codes, and what stands in braces, are no words."""

    def visit_Constant(self, node):
        if isinstance(node.value, str) and re.search(r"[ .,;:()]|^$|[A-Z]", node.value):
            parts = re.split(r"(\{[^{}]*\})", node.value)
            return ast.Constant("".join(it if it.startswith("{") else it.upper() for it in parts))
        return node

    def _word(self, node):
        """A text that is said as it stands, however short."""
        if isinstance(node, ast.Constant) and isinstance(node.value, str):
            return ast.Constant(node.value.upper())
        return self.visit(node)

    def visit_Dict(self, node):
        return ast.Dict(node.keys, [self._word(it) for it in node.values])

    def visit_IfExp(self, node):
        return ast.IfExp(node.test, self._word(node.body), self._word(node.orelse))

    def visit_JoinedStr(self, node):
        # Words between what is put in are words however short they are.
        parts = [ast.Constant(it.value.upper()) if isinstance(it, ast.Constant) else it for it in node.values]
        return ast.JoinedStr([self.visit(it) for it in parts])

    def visit_Compare(self, node):
        return node


STEP_SAID = """
import json
from libella.words.aloud.aim import aim_aloud
from libella.words.aloud.reading import Reading
from libella.words.aim.links import LINKS
from libella.api.aim.aims import choices
said = Reading()
aim_aloud(said)
told = [one for it in said.said["aim"].values() for one in it]
print(json.dumps([told, [it.name for it in choices().links]]))
"""


def test_one_step_is_said_in_another_language_from_one_folder(tmp_path):
    """Another package of the step's name is all it takes: what is said of it comes from there, nothing else changes."""
    words = ROOT / "src" / "libella" / "words"
    for step in ("aim", "shared"):
        (tmp_path / step).mkdir()
        for path in (words / step).glob("*.py"):
            tree = ast.parse(path.read_text())
            (tmp_path / step / path.name).write_text(ast.unparse(ast.fix_missing_locations(Shouted().visit(tree))))
    told = {
        folder: json.loads(
            subprocess.run(
                [sys.executable, "-c", STEP_SAID], cwd=ROOT, capture_output=True, text=True, check=True,
                env=os.environ | {"PYTHONPATH": "src", "LIBELLA_WORDS": folder},
            ).stdout
        )
        for folder in ("", str(tmp_path))
    }  # fmt: skip
    (plain, names), (shouted, shouted_names) = told.values()
    assert [it.upper() for it in plain] == [it.upper() for it in shouted] and len(plain) > 100
    # Sides, units and sizes are figures, which `core.measure.units` says in every language; what it does is a code.
    left = {word for it in shouted for word in re.findall(r"[A-Za-z]*[a-z][A-Za-z]*", it)}
    assert {it.lower() for it in left} - set(get_args(Does)) <= {"right", "left", "mm", "m", "under", "over"}
    assert shouted_names == [it.upper() for it in names]


def test_a_form_in_which_putts_go_out_is_one_entry(monkeypatch, coach):
    monkeypatch.setitem(FORMS, "txt", Form("text/plain", lambda putts: f"{len(putts)} of them"))
    block = coach.block()
    coach.putt(block["id"], {"offset_m": 0.01})
    answer = coach.client.get(f"/api/exports/block/{block['id']}", params={"form": "txt"})
    assert answer.text == "1 of them" and '.txt"' in answer.headers["content-disposition"]
    refused = coach.client.get(f"/api/exports/block/{block['id']}", params={"form": "doc"})
    assert refused.status_code == 422 and "csv, json, txt" in refused.json()["errors"][0]["limit"]
