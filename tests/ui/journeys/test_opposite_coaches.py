"""Five journeys by coaches of opposite schools, by touch: the readings are the same, what is advised is not."""

import re
from collections.abc import Callable
from urllib.parse import urlsplit

from playwright.sync_api import Page, expect

from ..conftest import choose_rig
from ..see.test_see import answers
from ..start.test_main_flow import zone
from ..test_schools import held
from .test_answers import begin, begin_block, prove, slide
from .test_pegs_and_string import fill, lay_beside
from .test_plan_carried import step
from .test_two_cues import read_angle


def lesson_of(page: Page) -> str:
    return urlsplit(page.url).path.split("/")[2]


def hold(page: Page, disagreement: str, school: str) -> None:
    """Hold a school for the golfer of this lesson, from the golfer's own page, and come back."""
    expect(page.locator("[data-link='saved']")).to_be_visible()
    lesson = lesson_of(page)
    page.get_by_role("banner").get_by_role("link", name=re.compile("Golfer$")).tap()
    page.get_by_role("link", name="Schools", exact=True).tap()
    held(page, disagreement, school)
    page.goto(f"/lessons/{lesson}/judge")


def measured(page: Page) -> list[str]:
    """What was read, as it stands on the lesson's page: words with sizes, chances and counts."""
    step(page, "Judge")
    page.wait_for_url(re.compile("/judge$"))
    rows = page.locator("[data-read] [data-quantity]")
    expect(rows.first).to_be_visible()
    return rows.all_inner_texts()


def offered(page: Page) -> list[str]:
    """The changes offered, in their order."""
    step(page, "Change")
    expect(page.locator("[data-offer]").first).to_be_visible()
    return [it.get_attribute("data-proposal") or "" for it in page.locator("[data-offer] [data-proposal]").all()]


def test_eyes_a_little_inside_are_fine_for_one_coach_and_not_for_the_other(page: Page):
    begin(page, "Eyed Golfer", rig="Ruler board")
    step(page, "See")
    page.get_by_role("radio", name="Where the eyes are").tap()
    for n, inside in enumerate((26, 31, 28), start=1):
        for what, behind in (("Lead eye", -32), ("Trail eye", 32)):
            fill(page, f"{what} inside", inside)
            fill(page, f"{what} behind", behind)
        page.get_by_role("button", name="Keep this look").tap()
        expect(page.get_by_role("list", name="Looks, newest first").get_by_role("listitem")).to_have_count(n)

    def seen(page: Page) -> list[str]:
        step(page, "See")
        page.get_by_role("radio", name="Where the eyes are").tap()
        said = page.locator("[data-eye-words]").inner_text()
        assert "28 mm inside" in said
        page.locator("[data-schools=see] [data-school-mark=eyes]").first.tap()
        sheet = page.get_by_role("dialog")
        expect(sheet).to_contain_text("Wherever straight looks straight")
        school = sheet.locator("[data-held]").inner_text()
        sheet.get_by_role("button", name="Close").tap()
        return [said, school]

    (over, by_over), (inside, by_inside) = advised(page, "eyes", ("Over the line", "A little inside"), seen)
    assert over != inside and "Over the line" in by_over and "A little inside" in by_inside


def test_a_face_that_stands_open_is_squared_by_one_coach_and_left_by_the_other(page: Page):
    begin(page, "Open Golfer", rig="Ruler board")
    fill(page, "Ball to board", "1 m")
    prove(page)
    step(page, "Aim")
    page.get_by_role("radio", name="Square reference").tap()
    fill(page, "Face length", "100 mm")
    fill(page, "Smallest step", "1 mm")
    fill(page, "Set-downs to the verdict", 10)
    page.get_by_role("button", name="Begin the set").tap()
    for n in range(10):
        expect(page.locator("[data-set-count]")).to_have_text(f"Set-down {n + 1} of 10")
        slide(page, 2 if n % 3 else 3)
    putts(page, [25, 20, 25, 30, 25, 20, 30, 25, 25, 20, 30, 25, 25, 25])
    one, other = advised(page, "face_at_address", ("Square or nothing", "An offset that repeats may stay"), offered)
    assert other[0] == "offset_stays" and one[0] != "offset_stays"


def putts(page: Page, told: list[int]) -> None:
    """So many putts at the ruler board, each so many mm right of nothing."""
    step(page, "Set")
    begin_block(page, len(told))
    for n, mm in enumerate(told):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1}")
        slide(page, mm // 5)
    expect(page.locator("[data-link='saved']")).to_be_visible()


def advised(page: Page, disagreement: str, schools: tuple[str, str], advice: Callable[[Page], list[str]]) -> list[list]:
    """What is advised under each of two schools; what was read stands alike under both."""
    said, read = [], []
    for school in schools:
        hold(page, disagreement, school)
        read.append(measured(page))
        said.append(advice(page))
    assert read[0] == read[1]
    assert said[0] != said[1], said[0]
    return said


def proposed(page: Page) -> list[str]:
    """The rig proposed first, with its sizes."""
    step(page, "Set")
    page.get_by_role("tab", name="Rig").tap()
    page.get_by_role("button", name="Propose a rig…").tap()
    sheet = page.get_by_role("dialog")
    expect(sheet.locator("[data-proposal]").first).to_be_visible()
    # By whose school it lies there stands in the sheet.
    expect(sheet.locator("[data-school-mark=gate]")).to_be_visible()
    told = [sheet.locator("[data-proposal=peg_gate]").first.inner_text()]
    sheet.get_by_role("button", name="Close").tap()
    return told


def test_pegs_for_the_ball_lie_near_for_one_coach_and_far_for_the_other(page: Page):
    begin(page, "Pegged Golfer")
    fill(page, "Ball to hole", "3.1 m")
    choose_rig(page, "Gate of pegs")
    lay_beside(page, "Putter gate of pegs", "Where it is struck")
    page.get_by_role("button", name="Start block").tap()
    for n in range(8):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1}")
        zone(page, "touched the left post").tap()
        page.locator("[data-note-step='aid:putter_gate']").get_by_role("button", name="touched the far peg").tap()
    near, far = advised(page, "gate", ("Near the ball", "Well ahead"), proposed)
    assert near != far


def test_a_spot_is_offered_first_by_one_coach_and_last_by_the_other(page: Page):
    begin(page, "Spotted Golfer", rig="Ruler board")
    fill(page, "Ball to board", "1 m")
    prove(page)
    step(page, "Aim")
    page.get_by_role("radio", name="Putter against the mark").tap()
    fill(page, "Set-downs to the verdict", 4)
    page.get_by_role("button", name="Compare…").tap()
    page.get_by_role("button", name="line and near spot, in turns").tap()
    turn = page.locator("[data-turn]")
    for left in range(7, -1, -1):
        before = turn.inner_text()
        read_angle(page, 1.7 if "Now: line" in before else 1.6)
        if left:
            expect(turn).not_to_have_text(before)
    expect(page.locator("[data-aim-turns]")).to_contain_text("All set-downs of this comparison are in.")
    putts(page, [25, 25, 25, 30, 25, 25, 20, 25, 25, 30, 25, 25, 25, 25])
    line, spot = advised(page, "cue", ("A line on the ball", "A spot a short way ahead"), offered)
    assert line != spot


def test_a_wrong_picture_is_cured_by_the_head_for_one_coach_and_by_a_spot_for_the_other(page: Page):
    begin(page, "Pictured Golfer", rig="Ruler board")
    fill(page, "Ball to board", "1 m")
    prove(page)
    step(page, "See")
    page.get_by_role("radio", name="What looks straight").tap()
    page.get_by_role("button", name="Begin asking").tap()
    expect(page.locator("[data-asked]")).to_have_text("Answer 1")
    answers(page, 1.5, 20)
    page.get_by_role("button", name="Show what they say").tap()
    step(page, "Aim")
    page.get_by_role("radio", name="Putter against the mark").tap()
    fill(page, "Set-downs to the verdict", 8)
    page.get_by_role("button", name="Begin the set").tap()
    for n in range(8):
        expect(page.locator("[data-set-count]")).to_have_text(f"Set-down {n + 1} of 8")
        read_angle(page, 1.5)
    head, spot = advised(page, "picture_cure", ("Move the head", "Aim at a near spot"), offered)
    assert head[0] == "move_the_head" and spot[0] != "move_the_head"
