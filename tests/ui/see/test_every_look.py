"""Every way of telling where the eyes are, and every place of a first look, from their registries, by taps."""

from itertools import product
from typing import get_args

import pytest
from playwright.sync_api import Page, expect

from libella.core.instruments.light_strip import Device, Strip
from libella.core.see.first_look import PLACES
from libella.core.see.one_way import Told
from libella.core.see.side_look import Against, Covers
from libella.core.see.trial import Looks
from libella.words.vocabulary import choices

from ..conftest import own_lesson, stands

TABLET, PHONE = (820, 1180), (390, 844)
PASSES = {"near side of the string": ("off", "outside"), "far side of the string": ("off", "inside")}


def to_see(page: Page, name: str, part: str) -> str:
    own_lesson(page, name, hand="right")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    page.goto(f"/lessons/{lesson}/see")
    page.get_by_role("radio", name=part, exact=True).click()
    stands(page)
    return lesson


def looks_of(page: Page, lesson: str) -> list[dict]:
    expect(page.locator("[data-link='saved']")).to_be_visible()
    return page.request.get(f"/api/lessons/{lesson}/eyes").json()["takes"]


@pytest.mark.parametrize("size", [TABLET, PHONE])
def test_eyes_are_told_in_every_way(page: Page, size: tuple[int, int]):
    lesson = to_see(page, f"Every Look {size[0]}", "Where the eyes are")
    page.set_viewport_size({"width": size[0], "height": size[1]})
    taken = page.get_by_role("list", name="Looks, newest first").get_by_role("listitem")
    n = 0

    def tap(group: str, words: str) -> None:
        nonlocal n
        button = page.get_by_role("group", name=group, exact=True).get_by_role("button", name=words, exact=True)
        box = button.bounding_box()
        assert box is not None and min(box["width"], box["height"]) >= 44, (words, box)
        button.tap()
        n += 1
        expect(taken).to_have_count(n)
        stands(page)

    page.get_by_role("button", name="One way alone…").tap()
    for told in get_args(Told):
        tap("Where the middle of the eyes is", choices()["eyes_told"][told])
    page.get_by_role("radio", name="By a string").tap()
    cross = [(covers, side) for covers, side in product(get_args(Covers), ("outside", "inside"))]
    for words in ("off it, far side", "far edge", "far quarter", "splits it", "near quarter", "near edge"):
        tap("Where the string crosses the ball", words)
    tap("Where the string crosses the ball", "off it, near side")
    lines = [it for it in get_args(Against) if it != "ball"]
    for line in lines:
        for words in (*PASSES, "split by it"):
            tap(choices()["string_against"][line], words)
    page.get_by_role("radio", name="By a strip").tap()
    for device in get_args(Device):
        page.get_by_role("group", name="Which strip").get_by_role(
            "button", name=choices()["strip_device"][device]
        ).tap()
        for seen in get_args(Strip):
            tap("What the strip shows", choices()["strip"][seen])
    # Each is another reading: nothing that can be seen is told as something else.
    takes = looks_of(page, lesson)
    told = [(it["way"], it["along"], it["low_mm"], it["high_mm"]) for it in takes]
    strips = len(get_args(Device)) * len(get_args(Strip))
    assert n == len(takes) == len(get_args(Told)) + (len(cross) - 1) + 3 * len(lines) + strips
    mirror, string = [it for it in told if it[0] == "mirror"], [it for it in told if it[0] == "string"]
    assert len(set(mirror)) == len(mirror) and len(set(string)) == len(string)
    assert len({it for it in told if it[0] == "strip"}) == len(get_args(Strip))


def test_a_first_look_is_told_from_every_place(page: Page):
    lesson = to_see(page, "Every Place", "First look")
    heads = page.get_by_role("group", name="Where the head is").get_by_role("button")
    grades = page.get_by_role("group", name="How far it is moved").get_by_role("button")
    answers = list(get_args(Looks))
    expected: list[tuple[str | None, str, str, bool, str]] = []
    moves = list(dict.fromkeys((it.lever, it.way) for it in PLACES))
    for n, (lever, way) in enumerate(moves):
        page.set_viewport_size({"width": (TABLET, PHONE)[n % 2][0], "height": 1180})
        heads.nth(n).tap()
        own = [it.grade for it in PLACES if (it.lever, it.way) == (lever, way)]
        for at, grade in enumerate(own):
            if lever is not None:
                grades.nth(at).tap()
            if n == at == 1:
                page.get_by_label("From the other side of the hole").check()
            looks = answers[(n + at) % 3]
            page.get_by_role("group", name="It looks").get_by_role("button").nth(answers.index(looks)).tap()
            expected.append((lever, way, grade, n > 1 or (n == 1 and at >= 1), looks))
            stands(page)
    expect(page.locator("[data-link='saved']")).to_be_visible()
    taken = page.request.get(f"/api/lessons/{lesson}/first-looks").json()["taken"]
    assert [(it["lever"], it["way"], it["grade"], it["other_side"], it["looks"]) for it in taken] == expected
