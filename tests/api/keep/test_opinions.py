"""Opinions over the wire: held of everybody, of a level, of a golfer, in versions; told alike on every page."""

import re

import pytest
import uuid6

from ..judge.test_findings import found, putted

LIKELY = {"opinion": "likely", "numbers": {"": 0.9}}


def hold(coach, status=200, **told):
    return coach.put(f"/opinions/{uuid6.uuid7()}", status, **told)


def weigh(coach, lesson, **told):
    answer = coach.client.post(f"/api/lessons/{lesson['id']}/weighed", json=told)
    assert answer.status_code == 200, answer.text
    return answer.json()


def one(told, opinion="likely"):
    return next(it for it in told if it["opinion"] == opinion)


@pytest.fixture
def lesson(coach):
    """Starts that are likely right of the line: of a golfer of the club."""
    golfer = coach.golfer(level="club")
    it = coach.lesson(golfer["id"])
    putted(coach, it, [0.035 + 0.03 * (n % 5 - 2) for n in range(14)])
    return it


def word(coach, lesson):
    [row] = [it for it in found(coach, lesson)["read"] if it["quantity"] == "start"]
    return row["word"]


@pytest.mark.parametrize("whose", ["everybody", "level", "golfer"])
def test_what_is_held_weighs_from_then_on_and_is_as_it_stands_again_when_it_is_dropped(coach, lesson, whose):
    of = {"everybody": {}, "level": {"level": "club"}, "golfer": {"golfer_id": lesson["golfer_id"]}}[whose]
    asked = {"golfer": of["golfer_id"]} if whose == "golfer" else of
    assert word(coach, lesson) == "likely"
    told = one(hold(coach, **LIKELY, **of))
    assert told["value"] == "90 of a hundred" and told["otherwise"] and told["numbers"][0]["own"]
    assert word(coach, lesson) == "open" and one(coach.get("/opinions", **asked)) == told
    other = coach.lesson(coach.golfer(level="elite")["id"])
    putted(coach, other, [0.035 + 0.03 * (n % 5 - 2) for n in range(14)])
    assert (word(coach, other) == "open") == (whose == "everybody")
    assert one(hold(coach, opinion="likely", numbers={}, **of))["otherwise"] is False
    assert word(coach, lesson) == "likely"
    versions = one(coach.get("/opinions", **asked))["versions"]
    assert [it["words"] for it in versions] == ["as it stands", "90 of a hundred"]
    assert [it["counts"] for it in versions] == [True, False]


def test_a_golfers_goes_before_the_levels_and_that_before_everybodys_number_by_number(coach, lesson):
    golfer = lesson["golfer_id"]
    hold(coach, opinion="start_prior", numbers={"bias_sd": 1.0, "spread_median": 0.8})
    hold(coach, opinion="start_prior", numbers={"bias_sd": 1.5}, level="club")
    hold(coach, opinion="start_prior", numbers={"bias_sd": 3.0}, golfer_id=golfer)

    def sizes(**asked):
        numbers = one(coach.get("/opinions", **asked), "start_prior")["numbers"]
        return {it["at"]: (it["value"], it["own"]) for it in numbers if it["at"] in ("bias_sd", "spread_median")}

    assert sizes() == {"bias_sd": (1.0, True), "spread_median": (0.8, True)}
    assert sizes(level="club") == {"bias_sd": (1.5, True), "spread_median": (0.8, False)}
    assert sizes(level="elite") == {"bias_sd": (1.0, False), "spread_median": (0.8, False)}
    assert sizes(golfer=golfer) == {"bias_sd": (3.0, True), "spread_median": (0.8, False)}
    told = one(coach.get("/opinions", golfer=golfer), "start_prior")["versions"]
    assert [it["whose"].partition(" of this level")[0] for it in told][1:] == ["Of every golfer", "Of everybody"]
    assert len(told) == 3 and len(one(coach.get("/opinions", level="elite"), "start_prior")["versions"]) == 1


def test_what_cannot_be_held_is_refused_with_its_limits_and_told_twice_it_is_one(coach, lesson):
    refused = hold(coach, 422, opinion="likely", numbers={"": 0.99})["errors"][0]
    assert refused["field"] == "numbers" and refused["limit"] == "60 of a hundred to 90 of a hundred"
    assert "99 of a hundred" in refused["message"]
    assert hold(coach, 422, opinion="likely", numbers={"nowhere": 0.9})["errors"][0]["field"] == "numbers"
    assert hold(coach, 422, opinion="weather", numbers={})["errors"][0]["field"] == "opinion"
    assert hold(coach, 422, **LIKELY, level="club", golfer_id=lesson["golfer_id"])["errors"][0]["field"] == "level"
    hold(coach, 404, **LIKELY, golfer_id=str(uuid6.uuid7()))
    id = f"/opinions/{uuid6.uuid7()}"
    coach.put(id, **LIKELY)
    coach.put(id, **LIKELY)
    coach.put(id, 409, opinion="likely", numbers={"": 0.85})
    assert len(one(coach.get("/opinions"))["versions"]) == 1


def test_what_it_would_change_is_told_before_it_is_held_and_comes_true(coach, lesson):
    [concerned] = coach.get("/opinions-concern", golfer=lesson["golfer_id"])
    assert concerned["lesson_id"] == lesson["id"]
    assert coach.get("/opinions-concern", level="elite") == []
    before = found(coach, lesson)
    told = weigh(coach, lesson, **LIKELY)
    assert found(coach, lesson) == before, "it was only asked"
    assert told["claims"] > 10 and 0 < len(told["others"]) < told["claims"]
    first = told["others"][0]
    assert first["before"] == before["headline"] != first["after"]
    # Of another golfer it changes nothing here, nor does what is not told otherwise.
    other = {"golfer_id": coach.golfer()["id"]}
    assert weigh(coach, lesson, **LIKELY, **other)["others"] == []
    assert weigh(coach, lesson, opinion="arc_radius", numbers={"": 1.7})["others"] == []
    hold(coach, **LIKELY)
    assert found(coach, lesson)["headline"] == first["after"]
    assert weigh(coach, lesson, **LIKELY)["others"] == []


def everywhere(coach, lesson):
    """What every page that is asked for by a golfer, a lesson or a block says, and those that tell of many."""
    block = coach.get(f"/lessons/{lesson['id']}")["blocks"][0]["id"]
    ids = {"golfers": lesson["golfer_id"], "lessons": lesson["id"], "blocks": block}
    told = {}
    for path, ways in coach.get("/openapi.json")["paths"].items():
        wanted = [it for it in ways.get("get", {}).get("parameters", []) if it.get("required")]
        kind, _, rest = path.removeprefix("/api/").partition("/")
        if "get" in ways and [it["in"] for it in wanted] == ["path"] and kind in ids and rest.startswith("{id}"):
            answer = coach.client.get(path.format(id=ids[kind]))
            assert answer.status_code in (200, 404), answer.text
            if "json" in answer.headers["content-type"]:
                # The mark of the data is raised by whatever is held.
                told[path] = re.sub(r'"revision":\d+', "", answer.text)
    assert len(told) > 25
    told |= {it: coach.get(it) for it in ("/today", "/golfers", "/due")}
    [row] = [it for it in found(coach, lesson)["read"] if it["quantity"] == "start"]
    return told | {"opened": coach.get(f"/lessons/{lesson['id']}/explained", claim=row["key"])}


@pytest.mark.parametrize(
    "told",
    [
        LIKELY,
        {"opinion": "start_prior", "numbers": {"bias_sd": 0.3, "spread_median": 3.0}},
        {"opinion": "matters", "numbers": {"start.matters_from": 18.0, "gain.matters_from": 18.0}},
        {"opinion": "roll_spread", "numbers": {"0": 0.5, "1": 0.6}},
    ],
    ids=lambda it: it["opinion"],
)
def test_wherever_it_is_held_every_page_tells_the_same(coach, lesson, told):
    as_it_stands = everywhere(coach, lesson)
    hold(coach, **told)
    of_all = everywhere(coach, lesson)
    hold(coach, opinion=told["opinion"], numbers={})
    assert everywhere(coach, lesson) == as_it_stands
    for of in ({"level": "club"}, {"golfer_id": lesson["golfer_id"]}):
        hold(coach, **told, **of)
        now = everywhere(coach, lesson)
        assert [it for it in now if now[it] != of_all[it]] == [], of
        hold(coach, opinion=told["opinion"], numbers={}, **of)
    assert of_all != as_it_stands


def test_before_and_after_is_told_by_what_is_held_of_its_golfer(coach, lesson):
    """It is asked by two lessons: neither is an address, and each has the golfer behind it."""
    sides = {"first": lesson["id"], "first_block": coach.get(f"/lessons/{lesson['id']}")["blocks"][0]["id"]}
    other = putted(coach, lesson, [-0.03 + 0.03 * (n % 5 - 2) for n in range(14)])
    sides |= {"second": lesson["id"], "second_block": other["id"]}

    def told():
        return coach.get("/compare-sides", **sides)

    stands, prior = told(), {"opinion": "start_prior", "numbers": {"bias_sd": 0.3, "spread_median": 3.0}}
    hold(coach, **prior)
    of_all = told()
    assert of_all != stands
    hold(coach, opinion="start_prior", numbers={})
    for of in ({"level": "club"}, {"golfer_id": lesson["golfer_id"]}):
        hold(coach, **prior, **of)
        assert told() == of_all, of
        hold(coach, opinion="start_prior", numbers={}, **of)
    assert told() == stands


def test_a_claim_that_is_opened_says_what_was_held(coach, lesson):
    hold(coach, **LIKELY, golfer_id=lesson["golfer_id"])
    [row] = [it for it in found(coach, lesson)["read"] if it["quantity"] == "start"]
    why = coach.get(f"/lessons/{lesson['id']}/explained", claim=row["key"])
    assert any("likely from 90" in it for it in why["sums"])
    assert any("90 of a hundred" in it and "80 of a hundred" in it for it in why["held"])
    dropped = hold(coach, opinion="likely", numbers={}, golfer_id=lesson["golfer_id"])
    assert not one(dropped)["otherwise"]
    assert coach.get(f"/lessons/{lesson['id']}/explained", claim=row["key"])["held"] == []
