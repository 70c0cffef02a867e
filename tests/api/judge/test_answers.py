"""What an honest expert would say of these lessons: said on every page, what must never be said on none."""

import re

import pytest
import uuid6

from . import answers
from .answers import Told, in_words, inside_a_string, strung

NOWHERE = re.compile(r"\binf\b|\bnan\b|None\b(?! declared)|0 of 0|[{}]")
PAGES = ("headline", "golfer", "lesson")
# Lesson, what its headline says on the lesson's page, the golfer's screen and the golfer's page; what else stands
# somewhere on the lesson's page; what stands nowhere.
SAID = {
    "lesson_01_square_edge": (
        ["1.8° right (open)", "clear"],
        ["1.8° right (open) (1.5° to 2.0°), clear", "Ten putts with the start read"],
        ["set-downs of the face (none so far)", "stroke does it", "nothing at address"],
    ),
    "lesson_02_two_cues": (
        ["“blank” against “stripe”", "holed 1 of 7 against 6 of 7", "clear"],
        ["2.3° further left", "impact 2.4° further left", "wider spread", "1 of 7 far off the others, kept"],
        ["Nothing to mend:", "Face at impact 0.0°", "the golfer at 0"],
    ),
    "lesson_03_three_lengths": (
        ["0.3° right at 1.60 m", "1.0° right at 2.80 m", "1.8° right at 4.40 m", "it grows", "clear"],
        ["At 1.60 m", "At 4.40 m"],
        ["1 so far", "from 24 putts", "Read the ball mark against the line, five times: about"],
    ),
    "lesson_03b_over_three_lessons": (
        ["it grows", "clear", "over 3 lessons"],
        ["At 1.60 m"],
        ["lengths of six putts each (1 so far)"],
    ),
    "lesson_04_with_the_aid": (
        ["guide", "clear"],
        ["With the guide in view: 0.0°", "Without it: 1.6° right"],
        ["guide in view (none so far)", "from 18 putts"],
    ),
    "lesson_05_line_by_eye": (
        ["lies about 1.1° right", "the line may be what is off"],
        ["Measure it a second way", "Lay the line a second way"],
        ["right, likely", "right: likely", "27 putts", "Sensor and hand disagree"],
    ),
    "lesson_05b_then_a_string": (
        ["put right by it: nothing to mend"],
        ["0.0° (0.2° left to 0.2° right), nothing to mend"],
        ["about 1.1° right", "1.1° right now", "may be what is off"],
    ),
    "lesson_06_innocent": (
        ["Nothing to mend"],
        ["0.2° right (0.0° to 0.5°), nothing to mend"],
        ["Leaning on the guide: clear", "it was the guide"],
    ),
    "lesson_07_gate_always_right": (
        ["at least 1.1° right", "clear", "can't say how far"],
        ["9 missed, 9 right", "by the start", "started at least 1.1° right", "wider gate"],
        ["2.7°", "4.1°", "outliers", "by the pace", "to 7"],
    ),
    "lesson_08_short": (
        ["10 of 10 short", "less than planned: clear", "what to work on"],
        ["by the pace"],
        ["by the start"],
    ),
    "lesson_09_ground": (
        ["4 of 8 missed", "inside the window", "the line or the ground is not as thought"],
        ["Pace as planned", "does the ground run as planned"],
        ["Past, clear", "roll past"],
    ),
    "lesson_10_putter_gate": (
        ["Struck towards the heel, 7 of 10"],
        ["7 missed, 7 left", "the start was not read", "Ten putts with the start read"],
        ["7 by the start", "finish noted (none so far)", "strike noted (none so far)"],
    ),
    "lesson_11_path_in_words": (
        ["0.8° right", "clear", "read it in degrees"],
        ["In to out 8 of 10, each by 0.5° or more: clear; how far, these readings can't say"],
        ["paths read (none so far)", "path read (none so far)"],
    ),
    "lesson_12_eyes": (
        ["“chin tucked” against “as usual”", "38 mm further in (25 mm to 51 mm)"],
        ["Eyes, chin tucked"],
        ["othing moved", "wander"],
    ),
    "lesson_13_read": (
        ["The read lies 4.8°", "started where it is read", "clear"],
        ["10 by the read"],
        ["by the start", "Starts 4.8°"],
    ),
    "lesson_14_left_handed": (
        ["Starts 0.9° left", "push", "clear", "points there at address already"],
        ["left (open) 8 of 10"],
        ["pull", "(closed)", "set-downs of the face (none so far)"],
    ),
    "lesson_15_laser_at_two_lengths": (
        ["it grows", "clear", "5.00 m"],
        ["8 missed, 8 right"],
        ["can't tell yet to the right", "whether the error grows with the length"],
    ),
    "lesson_17_two_ball_gate": (
        ["ight 7 of 10, each by 0.7° or more: clear", "these readings can't say"],
        ["wider gate"],
        ["1.4° right", "scatter by", "Nothing to mend:"],
    ),
    "lesson_18_heel_and_wobble": (
        ["left"],
        ["4 of 5 off the heel did not roll clean, none of 5 from the middle: likely"],
        ["by the pace"],
    ),
    "lesson_16_looks_from_places": (
        ["“further in” against “as usual”", "looks straight 5 of 5 against 1 of 6", "clear"],
        ["“chin tucked” against “as usual”: looks straight 2 of 2 against 1 of 6, likely; not playable"],
        [
            "nobody looked", "Not looked at: what looks straight", "usual place a true line looks straight",
            "You felt it: what looks straight. “chin tucked”",
        ],
    ),
    "lesson_20_string_that_misleads": (
        ["To these eyes the string lies about 8 mm outside the line", "lean its posts", "can't be used: path 8 times"],
        ["60 mm inside", "Of 8 putts: out to in 1, as declared 7", "Read 8 times, and not to be used"],
        ["travels to the left", "Path: likely", "out to in 7", "out to in 8", "they wander", "path read (none so far)"],
    ),
    "lesson_19_starts_alone": (
        ["Starts 1.5° right", "clear", "Why can't be told: where the face aims was not read"],
        ["Set the putter down against a square reference"],
        ["by the pace", "Face aim: likely", "Path: likely"],
    ),
}  # fmt: skip


def test_every_lesson_has_its_answer():
    assert set(SAID) == {name for name in dir(answers) if name.startswith("lesson_")}


@pytest.mark.parametrize("name", SAID)
def test_the_answer_stands_on_every_page_and_what_must_not_be_said_on_none(coach, name):
    said = getattr(answers, name)(coach)
    first, also, never = SAID[name]
    for part in first:
        for page in (*PAGES, "page"):
            assert part in said[page], (page, part, said[page][:400])
    for part in also:
        assert part in said["lesson"], (part, said["lesson"])
    for page, text in said.items():
        for part in never:
            assert part not in text, (page, part, text)
        assert not NOWHERE.search(text), (page, text)
    # The lesson's page, the golfer's screen and the golfer's page say the same first sentence.
    assert said["headline"] == said["golfer"] and said["headline"] in said["page"]


def test_what_a_string_misled_is_read_again_with_its_posts_leaned(coach):
    """First of all: until then nothing read against it says anything."""
    told = inside_a_string(coach)
    in_words(told, strung(told, 0.0), ["out_to_in"] * 8)
    [first, *_] = coach.get(f"/lessons/{told.id}/findings")["next"]
    assert (first["name"], first["step"]) == ("lean_string", "set")
    in_words(told, strung(told, 2.7), ["neutral"] * 8)
    assert all(it["name"] != "lean_string" for it in coach.get(f"/lessons/{told.id}/findings")["next"])


def test_how_far_the_eyes_were_moved_is_no_finding_and_counts_stand_where_nothing_is_sure(coach):
    told = Told(coach)
    for set_up, inside in (("as usual", 0.02), ("as usual", 0.02), ("taller", -0.04), ("taller", -0.04)):
        marks = {eye: {"inside_m": inside, "behind_m": behind} for eye, behind in (("lead", -0.03), ("trail", 0.03))}
        coach.put(f"/eye-takes/{uuid6.uuid7()}", lesson_id=told.id, set_up=set_up, taken_at=told.now(), **marks)
    looked = coach.get(f"/lessons/{told.id}/findings")["headline"]
    # As the golfer usually does it, what was read stands there; how far it was moved from there does not.
    other = Told(coach)
    marks = {eye: {"inside_m": 0.025, "behind_m": behind} for eye, behind in (("lead", -0.03), ("trail", 0.03))}
    coach.put(f"/eye-takes/{uuid6.uuid7()}", lesson_id=other.id, taken_at=other.now(), **marks)
    usual = coach.get(f"/lessons/{other.id}/findings")
    assert usual["headline"].startswith("Can't tell yet. So far, eyes 25 mm inside ("), usual["headline"]
    assert "an't tell yet. So far, eyes 25 mm inside (" in usual["for_golfer"], usual["for_golfer"]
    block = told.block(told.lay(), 4, ["roll"])
    for _ in range(4):
        told.putt(block, {"offset_m": 0.0}, roll="clean")
    found = coach.get(f"/lessons/{told.id}/findings")["headline"]
    assert "eyes" not in looked, looked
    assert found.startswith("Can't tell yet. So far, roll: clean 4 of 4"), found


def test_what_was_seen_from_behind_a_string_counts_whatever_it_shows_the_golfer(coach):
    told = answers.inside_a_string(coach)
    block = answers.in_words(told, answers.strung(told, 0.0), ["out_to_in"] * 7 + ["neutral"])

    def said() -> str:
        return told.pages()["lesson"]

    assert "can't be used: path 8 times. If it was you who looked" in said()
    coach.put(f"/blocks/{block}/circumstances", looker="golfer")
    assert "can't be used: path 8 times" in said() and "If it was you" not in said()
    coach.put(f"/blocks/{block}/circumstances", looker="coach", disturbances=["wind"])
    assert "can't be used" not in said() and "ut to in 7 of 8" in said()
    coach.put(f"/blocks/{block}/circumstances", 422, looker="somebody")
