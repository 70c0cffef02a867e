"""Any lesson there may be: whatever was recorded is told with its true count, alike on every page."""

import os
import random
import re
from collections import Counter

import pytest

from libella.core.start.notes import NOTES

from .lessons import Told

NOWHERE = re.compile(r"\binf\b|\bnan\b|\bNone\b|\b0 of 0\b|[{}]|\bmostly\b|\b[a-z]+_[a-z]+")
# A note by the quantity that it is a reading of.
READ_AS = {
    "strike": "strike",
    "path": "path",
    "path_going_back": "path_back",
    "face_impact": "impact",
    "finish": "holed",
    "ran_past_m": "roll_past",
}
NOTED = [name for name, it in NOTES.items() if it.options and name != "read"]
FACTORS = [{}, {}, {"set_up": "wide base"}, {"cue": "blank"}, {"trial": "mine"}]

LESSONS = int(os.environ.get("LIBELLA_LESSONS", "8"))
"""Lessons a run of this test plays; hundreds by hand."""


def any_act(rng: random.Random) -> dict:
    """Something a coach may record, at random: putts on any rig with any notes, or set-downs."""
    if rng.random() < 0.3:
        return {
            "what": "set_downs",
            "link": rng.choice(["face", "mark", "to_mark"]),
            "n": rng.randint(1, 8),
            "aided": rng.random() < 0.3,
            "words": rng.random() < 0.5,
            "seed": rng.randint(0, 99),
        }
    return {
        "what": "putts",
        "rig": rng.choice(["board", "board", "no_rig", "peg_gate"]),
        "n": rng.randint(1, 9),
        "asks": rng.sample(NOTED, rng.randint(0, 3)),
        "factors": rng.choice(FACTORS),
        "guided": rng.random() < 0.3,
        "proved": rng.random() < 0.6,
        "seed": rng.randint(0, 99),
    }


def record(told: Told, act: dict) -> tuple[Counter, str | None]:
    """Record it as a coach does; what was recorded, and its block."""
    counted: Counter = Counter()
    if act["what"] == "set_downs":
        words = act["words"] and act["link"] == "face"
        series = told.series(act["link"], 7, "in_words" if words else None, aided=act["aided"])
        for n in range(act["n"]):
            at = (act["seed"] * (n + 1)) % 7 - 3
            face = ("left", "square", "right")[(at > 0) - (at < 0) + 1]
            told.set_downs(series, [{"face": face} if words else {"angle_deg": at / 2, "seen_deg": 0.3}])
        return Counter({act["link"]: act["n"]}), None
    asks = act["asks"] or (["finish"] if act["rig"] == "no_rig" else [])
    station = told.lay(
        act["rig"], proof={"way": "string", "measured": [{"at_m": 1.0, "beside_m": 0.0}] * 2} if act["proved"] else None
    )
    block = told.block(station, 10, asks, factors=act["factors"], guided=act["guided"], condition="x y")
    for n in range(act["n"]):
        pick = act["seed"] + n * 7
        raw = {
            "board": {"offset_m": (pick % 9 - 4) * 0.01},
            "no_rig": {"start": "not_watched"},
            "peg_gate": {"crossing": ("clean", "touched_left", "touched_right")[pick % 3]},
        }[act["rig"]]
        notes = {name: list(NOTES[name].options)[pick % len(NOTES[name].options)] for name in asks}
        told.putt(block, raw, **notes)
        counted.update(READ_AS.get(name, name) for name in notes)
        if act["rig"] != "no_rig":
            counted["start"] += 1
    return counted, block


@pytest.mark.parametrize("seed", range(LESSONS))
def test_whatever_was_recorded_is_told_with_its_count_and_no_page_denies_it(coach, seed):
    rng = random.Random(seed)
    told = Told(coach, hand=rng.choice(["right", "left"]))
    recorded: Counter = Counter()
    blocks: list[tuple[str, Counter]] = []
    for act in [any_act(rng) for _ in range(rng.randint(1, 4))]:
        counted, block = record(told, act)
        recorded += counted
        if block:
            blocks.append((block, counted))
    pages = told.pages(*[block for block, _ in blocks[:1]])
    for page, text in pages.items():
        assert not NOWHERE.search(text), (page, NOWHERE.search(text), text)
    assert pages["headline"] in pages["page"] and pages["headline"] in pages["lesson"]
    found = coach.get(f"/lessons/{told.id}/findings")
    read: Counter = Counter()
    for it in found["read"]:
        read[it["quantity"]] += it["count"]
    for name, times in recorded.items():
        assert read[name] == times, (name, read, recorded)
    # What one block alone read of a quantity is told in the very same words by its own page.
    for block, counted in blocks:
        own = {it["quantity"]: it for it in coach.get(f"/blocks/{block}/read")["read"]}
        for name in counted:
            assert own[name]["count"] == counted[name]
            if recorded[name] == counted[name]:
                [whole] = [it for it in found["read"] if it["quantity"] == name]
                assert whole["words"] == own[name]["words"]
