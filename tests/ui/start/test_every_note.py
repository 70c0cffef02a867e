"""Everything that can be noted of a putt, each from the registry: by taps on a tablet and on a phone, and by keys."""

import re

import pytest
from playwright.sync_api import Locator, Page, expect

from libella.core.start.notes import NOTES

from ..conftest import choose_rig, own_lesson, stands
from ..set.test_planner import lay_too

ASKED = [name for name, it in NOTES.items() if not it.after_touch]
"""What a block can ask for; the rest is asked by itself once the stroke touched something."""
TAPPED = {"finish": "past"}
"""Where another answer leaves the others something to tell; elsewhere the last there is."""


def by_tap(step: Locator, name: str) -> str | float:
    note = NOTES[name]
    if note.options:
        told = TAPPED.get(name, list(note.options)[-1])
        words = re.compile(rf"^(◂ )?{re.escape(note.options[told])}( ▸)?( ?\d)?$")
        step.get_by_role("group").get_by_role("button", name=words).tap()
        return told
    assert note.bounds is not None
    if note.bounds.unit == "deg":
        if note.step < 1:
            step.get_by_role("button", name=f"1 {note.high_word}", exact=True).tap()
            step.get_by_role("button", name="tenth 2", exact=True).tap()
            return 1.2
        step.get_by_role("button", name="7", exact=True).tap()
        step.get_by_role("button", name=re.compile(f"{note.high_word}$")).tap()
        return 7
    if note.usual:
        step.get_by_role("group", name=f"{note.label}, usual sizes").get_by_role("button").first.tap()
        return note.usual[0]
    step.get_by_role("button", name="More").tap()
    return _take(step)


def by_keys(step: Locator, name: str) -> str | float:
    note, keyboard = NOTES[name], step.page.keyboard
    if note.options:
        told = TAPPED.get(name, next(iter(note.options)))
        keyboard.press(str(list(note.options).index(told) + 1))
        return told
    assert note.bounds is not None
    if note.bounds.unit == "deg":
        keyboard.press("8")
        keyboard.press("ArrowLeft")
        return -8 * note.step
    keyboard.press("ArrowRight")
    told = float(step.get_by_role("slider").input_value())
    keyboard.press("Enter")
    return told


def _take(step: Locator) -> float:
    told = float(step.get_by_role("slider").input_value())
    step.get_by_role("group").last.get_by_role("button").nth(1).tap()
    return told


def putted(page: Page, nth: int, by) -> dict[str, str | float]:
    """One putt with all that is asked of it, in the order in which it is asked; what was told."""
    step, read, count = page.locator("[data-note-step]"), page.get_by_role("slider"), page.locator("[data-count]")
    told: dict[str, str | float] = {}
    expect(count).to_contain_text(f"Putt {nth}")
    while f"Putt {nth} " in count.inner_text():
        if step.count():
            name = str(step.get_attribute("data-note-step"))
            if name in NOTES:
                told[name] = by(step, name)
            else:
                # What the string itself shows is of the instrument, whose own test tells it.
                page.keyboard.press("s")
            expect(page.locator(f"[data-note-step='{name}']")).to_have_count(0)
        else:
            expect(read).to_be_visible()
            page.get_by_role("button", name="Record on the line").tap() if by is by_tap else page.keyboard.press("0")
            expect(step).to_be_visible()
    return told


@pytest.mark.parametrize(("wide", "tall"), [(820, 1180), (390, 844)])
def test_every_note_is_told_by_taps_and_by_keys(page: Page, wide: int, tall: int):
    own_lesson(page, f"Every Note {wide}", hand="right")
    choose_rig(page, "Ruler board")
    lay_too(page, "Where the eyes are", "String over the line")
    page.set_viewport_size({"width": wide, "height": tall})
    page.get_by_text("Also note").tap()
    notes = page.get_by_role("group", name="Also note of every putt")
    for name in ASKED:
        notes.get_by_role("button", name=NOTES[name].label, exact=True).tap()
    page.get_by_role("button", name="Start block").tap()
    told = [putted(page, 1, by_tap), putted(page, 2, by_keys)]
    # Nothing that can be noted is left out of this: a new note is in it by itself.
    assert set(told[0]) == set(NOTES)
    expect(page.locator("[data-link='saved']")).to_be_visible()
    stands(page)
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    [block] = page.request.get(f"/api/lessons/{lesson}").json()["blocks"]
    kept = page.request.get(f"/api/blocks/{block['id']}/judgement").json()["block"]["readings"]
    for one, other in zip([it["notes"] for it in kept], told, strict=True):
        assert one == {it: pytest.approx(value) if isinstance(value, float) else value for it, value in other.items()}
