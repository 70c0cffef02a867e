"""Plain and dense say the same: side, size and strength; plain says them without degrees and percents."""

import re
from dataclasses import replace
from itertools import product

import pytest

from libella.core.certainty.estimate import normal
from libella.core.certainty.verdict import Verdict
from libella.core.golfer.wording import wording_for
from libella.core.judge.findings.ranked import RULES, Findings
from libella.core.judge.findings.said import Cause_, Off
from libella.words.aloud.claims import levels_read
from libella.words.aloud.findings import a_finding
from libella.words.judge.chosen import for_golfer
from libella.words.shared.plain import SURE, plainly, width_said

HANDS = ("right", "left")
NUMBERS = re.compile(r"°|%|\bin a hundred\b|\bof a hundred\b|\bdegrees?\b")
STRENGTHS = {"clear": "for sure", "likely": "more often than luck"}
# Of these the size is told in another unit than an angle, or none is told either way.
UNSIZED = {"compensation", "strike", "movement", "guide", "distance", "read_and_pace"}


def told(it, hand, units="metric"):
    return (for_golfer([it], hand, wording, units) for wording in ("plain", "dense"))


def sides(said):
    return {side for side in ("left", "right") if re.search(rf"\b{side}\b", said)}


@pytest.mark.parametrize(("cause", "word", "hand"), product(RULES, STRENGTHS, HANDS))
def test_a_cause_is_told_of_the_same_side_size_and_strength(cause, word, hand):
    for side, size in (("right", 1.1), ("left", -1.9), ("right", 0.4)):
        it = replace(a_finding(cause, word, side), size=normal(size, 0.2))
        plain, dense = told(Cause_(it, Findings((it,), None)), hand)
        assert not NUMBERS.search(plain), plain
        assert STRENGTHS[word] in plain and f"{word}." in dense
        assert not (set(STRENGTHS.values()) - {STRENGTHS[word]}) & {one for one in STRENGTHS.values() if one in plain}
        if sides(dense):
            assert sides(plain) == sides(dense), (plain, dense)
        if cause not in UNSIZED:
            shown = float(re.search(r"(\d+(?:\.\d+)?)°", dense)[1])
            assert width_said(size, "metric") in plain and abs(shown - abs(size)) <= 0.1


@pytest.mark.parametrize("hand", HANDS)
def test_what_lies_off_is_told_of_the_same_side_size_and_strength(hand):
    seen = 0
    for level in levels_read():
        angle = level.quantity.unit == "deg" and level.quantity.sides in ("line", "path")
        if not angle or level.beyond is not None or level.levels:
            continue
        for word in STRENGTHS:
            side = "right" if level.bias.value > 0 else "left"
            if level.bias.doubt > abs(level.bias.value):
                continue
            call = Verdict(word, side, 0.97, 8.0)
            plain, dense = told(Off(replace(level, call=call, side=call)), hand)
            assert not NUMBERS.search(plain), plain
            # A path is told densely by the body's side: in to out, out to in.
            assert side in sides(plain) and (level.quantity.name.startswith("path") or side in sides(dense)), (
                plain,
                dense,
            )
            assert STRENGTHS[word] in plain and word in dense, (plain, dense)
            # What says a side and no size is told without one.
            assert (width_said(level.bias.value, "metric") in plain) == level.is_sized
            seen += 1
    assert seen > 4


def test_a_sentence_is_put_plainly_without_a_number_nobody_can_use():
    assert plainly("It starts 1.7° right, likely.", "metric") == (
        "It starts a hand’s width at 3 m right, more often than luck."
    )
    assert plainly("About 9 in a hundred are lost: clear.", "feet") == "About one in eleven are lost: for sure."
    assert set(SURE) == {"clear", "likely", "none", "open"}


def test_the_switch_goes_before_the_level():
    assert [wording_for(level, "") for level in ("starting", "club", "skilled", "elite")] == [
        "plain", "plain", "dense", "dense"
    ]  # fmt: skip
    assert wording_for("elite", "plain") == "plain" and wording_for("starting", "dense") == "dense"
