"""Four lessons of which an honest expert's answer is known, entered by touch; each page says that answer."""

import re
from urllib.parse import urlsplit

from playwright.sync_api import Page, expect

from ..conftest import choose_rig, own_lesson, plan
from ..start.test_main_flow import prove_by_tape, zone
from .test_pegs_and_string import fill, lay_beside
from .test_plan_carried import step


def begin(page: Page, name: str, *, hand: str = "right", rig: str = "") -> None:
    """A low handicap's first lesson, at its plan."""
    own_lesson(page, name, hand=hand, level="skilled")
    if rig:
        choose_rig(page, rig)


def prove(page: Page) -> None:
    plan(page, "Proof")
    prove_by_tape(page, "2.4 m")


def note_finish(page: Page) -> None:
    page.get_by_text("Also note").tap()
    page.get_by_role("group", name="Also note of every putt").get_by_role("button", name="Finish", exact=True).tap()


def start(page: Page, putts: int) -> None:
    """The line is proved, and so many putts are begun."""
    prove(page)
    begin_block(page, putts)


def begin_block(page: Page, putts: int) -> None:
    page.locator("[data-under]").tap()
    fill(page, "Putts to the verdict", putts)
    page.get_by_role("button", name="Start block").tap()


def slide(page: Page, marks: int) -> None:
    """So many marks to the right of nothing, recorded."""
    page.get_by_role("slider").focus()
    for _ in range(abs(marks)):
        page.keyboard.press("ArrowRight" if marks > 0 else "ArrowLeft")
    page.keyboard.press("Enter")


def answers(page: Page, said: list[str], never: list[str]) -> None:
    """What stands on the lesson's page, and what stands neither there, nor on the golfer's screen, nor on the golfer's
    page; the first of what is said stands on all three."""
    expect(page.locator("[data-link='saved']")).to_be_visible()
    step(page, "Judge")
    page.wait_for_url(re.compile("/judge$"))
    main = page.locator("main")
    for one in said:
        expect(main).to_contain_text(re.compile(one))
    lesson = urlsplit(page.url).path.removesuffix("/judge").rsplit("/", 1)[1]
    golfer = page.request.get(f"/api/lessons/{lesson}").json()["golfer"]["id"]
    pages = [main.inner_text()]
    for address in (f"/wall/{lesson}/finding", f"/golfers/{golfer}"):
        page.goto(address)
        expect(page.locator("body")).to_contain_text(re.compile(said[0]))
        pages.append(page.locator("body").inner_text())
    for it in pages:
        assert not re.search("|".join([*never, r"\binf\b"]), it), it


def test_a_square_edge_tells_how_open_the_face_stands(page: Page):
    begin(page, "Edge Golfer")
    prove(page)
    step(page, "Aim")
    page.get_by_role("radio", name="Square reference").tap()
    page.get_by_role("radio", name="Aid in view", exact=True).tap()
    fill(page, "Face length", "100 mm")
    fill(page, "Smallest step", "1 mm")
    fill(page, "Set-downs to the verdict", 10)
    page.get_by_role("button", name="Begin the set").tap()
    for n, gap in enumerate((3, 3, 2, 3, 3, 3, 3, 4, 3, 4)):
        expect(page.locator("[data-set-count]")).to_have_text(f"Set-down {n + 1} of 10")
        slide(page, gap)
    said = [r"1\.8° right \(open\) .*clear", r"\(1\.5° to 2\.0°\), clear", "Ten putts with the start read"]
    answers(page, said, ["face .none so far", "stroke does it", "nothing at address"])


def test_a_gate_that_is_always_touched_right_says_at_least(page: Page):
    begin(page, "Touched Golfer", rig="Gate of pegs")
    fill(page, "Ball to gate", "45 cm")
    fill(page, "Inside width", "60 mm")
    note_finish(page)
    start(page, 9)
    for n in range(9):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1}")
        zone(page, "touched the right post").tap()
        page.locator("[data-note-step=finish]").get_by_role("button", name="past, right").tap()
    said = [r"at least 1\.\d° right", "can't say how far", "9 missed, 9 right"]
    answers(page, said, [r"2\.7°", "outliers", "by the pace"])


def test_a_putter_gate_alone_tells_the_strike_and_sends_to_the_start(page: Page):
    begin(page, "Struck Golfer", rig="No start rig")
    lay_beside(page, "Putter gate of pegs", "Where it is struck")
    # Until the gate is drawn, the finish stands noted by itself: with nothing laid, it is all that tells a putt.
    expect(page.locator("summary", has_text="Also note")).to_contain_text("Putter gate of pegs")
    note_finish(page)
    start(page, 10)
    # In the order in which it happens: the pegs first, then where the ball ended.
    taps = {"aid:putter_gate": ("touched the far peg", "clean"), "finish": ("left", "holed")}
    for n in range(10):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1}")
        for name in taps:
            now = page.locator(f"[data-note-step='{name}']")
            now.get_by_role("button", name=re.compile(rf"^(\W )?{taps[name][n >= 7]}\b")).first.tap()
    said = ["heel, 7 of 10", "7 missed, 7 left", "Ten putts with the start read"]
    answers(page, said, ["by the start", "finish noted .none so far", "strike noted .none so far"])


def test_a_left_handed_push_is_there_at_address(page: Page):
    begin(page, "Pushing Golfer", hand="left", rig="Ruler board")
    fill(page, "Ball to board", "1 m")
    step(page, "Aim")
    page.get_by_role("radio", name="By eye, in words").tap()
    fill(page, "Set-downs to the verdict", 10)
    page.get_by_role("button", name="Begin the set").tap()
    for n in range(10):
        expect(page.locator("[data-set-count]")).to_have_text(f"Set-down {n + 1} of 10")
        page.get_by_role("button", name=re.compile("left" if n < 8 else "square")).first.tap()
    step(page, "Set")
    start(page, 10)
    for n, mm in enumerate((-15, -20, -10, -25, -15, -5, -20, -10, -20, -15)):
        expect(page.locator("[data-count]")).to_contain_text(f"Putt {n + 1}")
        slide(page, mm // 5)
    # The face was read before the line was proved, on the same line: that proof is of it, too.
    said = [r"0\.9° left", "push", "points there at address already", r"eft \(open\) 8 of 10, each .* (likely|clear);"]
    answers(page, said, ["pull", "face .none so far", "Lay the line a second way"])
