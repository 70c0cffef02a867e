"""Every view in both lights and at three sizes: no serious accessibility finding, nothing cut off, nothing tiny."""

import re
from itertools import pairwise

import pytest
from playwright.sync_api import Page, expect

from .conftest import AXE, choose_rig, laid_out, no_serious_finding, own_lesson, plan, shot, stands
from .start.test_main_flow import start_block
from .units import speaks_one_system_of_units

SIZES = {"desk": (1280, 800), "tablet": (820, 1180), "phone": (390, 844)}
PLANS = {"set-rig": "Rig", "set-beside": "Beside it", "set-proof": "Proof", "set-print": "Print"}
STANDS = {"logbook": "[data-entry]", "archive": "main h1", "guide": "[data-section]"}
SEE = {"see-eyes": "Where the eyes are", "see-map": "What moves it", "see-check": "Quick check"}
VIEWS = [
    "today",
    "golfer",
    "set",
    *PLANS,
    "stand",
    "aim",
    "see",
    *SEE,
    "start",
    "judge",
    "change",
    "keep",
    "sensors",
    "files",
    "drills",
    "logbook",
    "time line",
    "archive",
    "guide",
    "aids",
    "bag",
    "string",
    "schools",
    "teaching",
    "opinions",
    "readers",
    "away",
    "trust",
    "states",
]


def open_lesson(page: Page) -> str:
    """The demo's lesson that stands open; other tests may have opened theirs since."""
    [junia] = page.request.get("/api/golfers", params={"q": "Junia"}).json()["items"]
    return page.request.get(f"/api/golfers/{junia['golfer']['id']}/lessons").json()["items"][0]["lesson"]["id"]


def visit(page: Page, view: str) -> None:
    """Go to a view of the demo data and wait until it stands."""
    if view in SEE:
        page.goto(f"/lessons/{open_lesson(page)}/see")
        page.get_by_role("radio", name=SEE[view]).click()
        if view == "see-check":
            page.get_by_role("button", name="Begin the check").click()
        expect(page.locator("[data-map] svg" if view == "see-map" else "[data-mirror] svg")).to_be_visible()
        return
    if view == "aim":
        page.goto(f"/lessons/{open_lesson(page)}/aim")
        expect(page.locator("[data-aim-series]").first).to_be_visible()
        return
    if view == "sensors":
        page.goto(f"/lessons/{open_lesson(page)}/sensors")
        if page.locator("[data-code]").count() == 0:
            page.get_by_role("button", name="Pair a face").click()
        expect(page.locator("[data-code]").first).to_be_visible()
        return
    if view == "files":
        page.goto("/")
        page.get_by_role("searchbox", name="Find a golfer by name").fill("Junia")
        page.get_by_role("link", name="Junia Thale").last.click()
        page.get_by_role("link", name="From a file…").click()
        said = b"start (deg),path (deg)\n0.5,1\n=x,1\n"
        file = {"name": f"{'long name ' * 9}.csv", "mimeType": "text/csv", "buffer": said}
        page.locator("input[type=file]").set_input_files(file)
        page.get_by_role("button", name="Read it so").click()
        expect(page.locator("[data-check]")).to_be_visible()
        return
    if view == "time line":
        [greta] = page.request.get("/api/golfers", params={"q": "Greta"}).json()["items"]
        page.goto(f"/logbook?golfer={greta['golfer']['id']}")
        page.get_by_role("button", name="the lesson of").first.click()
        page.get_by_role("button", name="the lesson of").last.click()
        expect(page.locator("[data-beside] [data-headline]")).to_be_visible()
        return
    if view in STANDS:
        page.goto(f"/{view}")
        expect(page.locator(STANDS[view]).first).to_be_visible()
        stands(page)
        return
    if view == "keep":
        page.goto(f"/lessons/{open_lesson(page)}/keep")
        expect(page.locator("[data-summary]")).to_be_visible()
        stands(page)
        return
    if view == "change":
        page.goto(f"/lessons/{open_lesson(page)}/change")
        expect(page.locator("[data-answer]")).to_be_visible()
        stands(page)
        return
    if view == "stand":
        page.goto(f"/lessons/{open_lesson(page)}/stand")
        expect(page.locator("[data-behind] svg")).to_be_visible()
        return
    if view == "see":
        page.goto(f"/lessons/{open_lesson(page)}/see")
        expect(page.locator("[data-headline]").first).to_contain_text("of true")
        page.get_by_text("How it looked at each angle").first.click()
        expect(page.locator("[data-sight] polyline.left").first).to_be_visible()
        return
    if view == "teaching":
        page.goto(f"/lessons/{open_lesson(page)}/teaching?show=gate")
        expect(page.locator("[data-taught-picture] svg")).to_be_visible()
        stands(page)
        return
    if view.split("-")[0] in ("set", "start", "judge"):
        page.goto(f"/lessons/{open_lesson(page)}/{view.split('-')[0]}")
        expect(page.locator("main svg").first).to_be_visible()
        if view in PLANS:
            plan(page, PLANS[view])
        stands(page)
        return
    page.goto("/")
    begun = page.locator(f"[data-lesson='{open_lesson(page)}']")
    lines = page.locator("[data-lesson]")
    expect(lines.first).to_be_visible()
    while not begun.is_visible():
        # lessons that other tests began since stand before the demo's
        shown = lines.count()
        page.get_by_role("button", name="More lessons").click()
        expect(lines.nth(shown)).to_be_visible()
    expect(begun.get_by_role("link", name="Go on recording")).to_be_visible()
    if view == "golfer":
        begun.get_by_role("link", name="Junia Thale").click()
        expect(page.get_by_role("list", name="Lessons, newest first")).to_be_visible()
    elif view == "aids":
        page.get_by_role("link", name="Aids", exact=True).click()
        expect(page.locator("[data-aid=face_mirror] svg")).to_be_visible()
    elif view == "bag":
        page.goto("/aids/bag")
        expect(page.locator("[data-part=peg]")).to_be_visible()
    elif view == "drills":
        page.goto("/drills")
        expect(page.locator("[data-drill] svg").first).to_be_visible()
    elif view == "string":
        page.goto("/aids/string")
        expect(page.locator("[data-string]")).to_contain_text("splits the ball")
    elif view == "schools":
        page.goto("/schools")
        expect(page.locator("[data-asks=pace]")).to_be_visible()
    elif view == "opinions":
        page.goto("/opinions")
        expect(page.locator("[data-opinions=judge]")).to_be_visible()
    elif view == "readers":
        page.goto("/aids/readers")
        expect(page.locator("[data-read]")).to_be_visible()
    elif view == "away":
        page.goto("/away")
        expect(page.locator("[data-room]")).to_be_visible()
    elif view == "trust":
        page.goto("/trust")
        expect(page.locator("[data-here-alone]")).to_be_visible()
    elif view == "states":
        page.goto("/states")
        expect(page.locator("[data-state='long text']")).to_be_visible()
    stands(page)


CUT_OFF = """
[...document.querySelectorAll('main button, main input, main a')].filter(it => it.checkVisibility()).map(it =>
  [it.getBoundingClientRect(), it.outerHTML.slice(0, 160)]).filter(([at]) => at.left < -1 || at.right > innerWidth + 1)
  .map(([, html]) => html)
"""

OVERLAPPING = """
[...document.querySelectorAll('nav a')].filter(it => it.checkVisibility() && it.scrollWidth > it.clientWidth + 1)
  .map(it => it.textContent.trim().slice(0, 40))
"""


@pytest.mark.parametrize("view", VIEWS)
def test_a_view_is_readable_in_either_light_whole_at_any_size_and_speaks_one_system_of_units(page: Page, view: str):
    visit(page, view)
    shot(page, f"{view}-daylight")
    no_serious_finding(page)
    page.get_by_role("button", name="change the light").click()
    expect(page.locator("html[data-light=dim]")).to_be_attached()
    shot(page, f"{view}-dim")
    # The other light changes colours, and nothing else.
    no_serious_finding(page, only="color")
    for size, (width, height) in SIZES.items():
        page.set_viewport_size({"width": width, "height": height})
        laid_out(page)
        shot(page, f"{view}-{size}")
        assert page.evaluate("document.documentElement.scrollWidth") <= width, size
        assert page.evaluate(CUT_OFF) == [], size
        assert page.evaluate(OVERLAPPING) == [], size
    # A sheet has its lesson's units, whoever reads it.
    if view not in ("files", "states", "guide", "keep"):
        speaks_one_system_of_units(page)


@pytest.mark.parametrize("size", ["desk", "tablet"])
def test_nothing_scrolls_during_a_run(page: Page, size: str):
    width, height = SIZES[size]
    page.set_viewport_size({"width": width, "height": height})
    visit(page, "start")
    putts = page.get_by_role("list", name="Putts, newest first")
    expect(page.get_by_role("slider")).to_be_visible()
    for _ in range(2):
        page.keyboard.press("0")
        expect(putts.get_by_role("listitem").first).to_contain_text("on the line")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    overflow = page.evaluate(
        "[...document.querySelectorAll('main, main *')].filter(it => it.clientHeight > 40 &&"
        " ['auto', 'scroll'].includes(getComputedStyle(it).overflowY) && it.scrollHeight > it.clientHeight + 2)"
        ".map(it => it.className)"
    )
    assert overflow == []
    # The demo's lesson is other tests' too: it stands again as it was.
    for _ in range(2):
        page.keyboard.press("u")
    expect(page.locator("[data-count]")).to_contain_text("Putt 5")
    expect(page.locator("[data-link='saved']")).to_be_visible()


@pytest.mark.parametrize("size", SIZES)
def test_every_zone_of_a_gate_is_wide_enough_for_a_thumb(page: Page, size: str):
    width, height = SIZES[size]
    page.set_viewport_size({"width": width, "height": height})
    # A block is begun: in a lesson of its own, as the demo's is other tests' too.
    own_lesson(page, "Thumb Golfer")
    choose_rig(page, "Gate of pegs")
    page.get_by_label("Inside width", exact=True).fill("44")
    page.keyboard.press("Enter")
    expect(page.get_by_role("button", name="Start block")).to_be_enabled()
    page.get_by_role("button", name="Start block").click()
    zones = page.locator("[data-zone]")
    expect(zones).to_have_count(5)
    stands(page)
    # All in one look: boxes asked for one by one may stand on either side of a change of the layout.
    boxes = zones.evaluate_all("all => all.map(it => it.getBoundingClientRect().toJSON())")
    assert min(it["width"] for it in boxes) >= 56 and min(it["height"] for it in boxes) >= 56
    edges = sorted((it["x"], it["x"] + it["width"]) for it in boxes)
    assert all(abs(before[1] - after[0]) < 1.5 for before, after in pairwise(edges))


def test_text_is_at_contrast_seven_in_daylight(page: Page):
    visit(page, "start")
    page.evaluate(AXE())
    options = "{ runOnly: ['color-contrast-enhanced'], rules: { 'color-contrast-enhanced': { enabled: true } } }"
    found = page.evaluate(f"axe.run(document, {options})")["violations"]
    assert [node["html"] for it in found for node in it["nodes"]] == []


def test_the_drawing_says_when_it_is_exaggerated_and_is_true_otherwise(page: Page):
    visit(page, "set")
    stage = page.locator("[data-stage]")
    hole = stage.locator("ellipse.hole")
    expect(hole).to_be_visible()
    box = hole.bounding_box()
    assert abs(box["width"] - box["height"]) < 1
    stage.get_by_role("button", name="×5").click()
    expect(stage.get_by_text("Across the line ×5, along it ×1")).to_be_visible()
    expect(hole).to_be_visible()
    box = hole.bounding_box()
    assert box["height"] / box["width"] == pytest.approx(5, rel=0.12)


def test_the_vial_puts_left_on_the_left_and_says_when_it_is_off_the_scale(page: Page):
    visit(page, "states")
    settled = page.locator("[data-state='settled'] svg").first
    tube = settled.locator(".glass").bounding_box()
    bubble = settled.locator(".bubble").bounding_box()
    assert bubble["x"] > tube["x"] + tube["width"] / 2
    off = page.locator("[data-state='far off scale']")
    expect(off.get_by_text("off this scale").first).to_be_visible()
    expect(off.locator(".bubble")).to_have_count(0)
    expect(page.locator("[data-state='empty'] .bubble")).to_have_count(0)
    expect(page.locator("[data-state='open intervals only'] svg").first.locator(".tick path")).to_have_count(5)


def test_motion_stops_when_the_system_asks(browser, served):
    context = browser.new_context(base_url=served.address, reduced_motion="reduce", service_workers="block")
    page = context.new_page()
    page.goto("/states")
    bubble = page.locator(".bubble").first
    expect(bubble).to_be_visible()
    assert bubble.evaluate("it => getComputedStyle(it).transitionDuration") == "0s"
    context.close()


TOO_WIDE = """
[...document.querySelectorAll('main h1, main h2, main p, main svg, main section, main li, main table')]
  .filter(it => it.checkVisibility() && it.getBoundingClientRect().right > innerWidth + 1)
  .map(it => it.outerHTML.slice(0, 120))
"""
LONGEST = "Maximiliane Wilhelmine von der Hohenbruckendorff-Unterschleissheimer-Achterwasser"[:80]


def test_the_longest_name_cuts_nothing_off_on_a_phone_and_units_and_label_are_in_reach(page: Page):
    page.set_viewport_size({"width": 390, "height": 844})
    own_lesson(page, LONGEST)
    lesson = page.url.removesuffix("/set")
    for view in ("/", f"{lesson}/set", f"{lesson}/start", f"{lesson}/judge", f"{lesson}/stand", f"{lesson}/aim"):
        page.goto(view)
        stands(page)
        assert page.evaluate(CUT_OFF) == [], view
        assert page.evaluate("document.documentElement.scrollWidth") <= 390, view
        # Nothing inside its column is wider than the column either: it would be cut off, not scrolled to.
        assert page.evaluate(TOO_WIDE) == [], view
        expect(page.get_by_role("button", name="change the units")).to_be_in_viewport()
    page.goto(f"/lessons/{open_lesson(page)}/set")
    expect(page.get_by_role("banner").get_by_text("demo")).to_be_in_viewport()


def test_the_bubble_settles_after_a_new_putt_and_neither_at_first_paint_nor_when_resized(page: Page):
    own_lesson(page, "Settling Golfer")
    start_block(page)
    page.locator("[data-zone='clean']").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 2")
    expect(page.locator("[data-link='saved']")).to_be_visible()
    page.reload()
    bubble = page.locator("[data-vial] .bubble").first
    expect(bubble).to_be_visible()
    assert bubble.evaluate("it => getComputedStyle(it).transitionDuration") == "0s"
    page.set_viewport_size({"width": 1000, "height": 800})
    assert bubble.evaluate("it => getComputedStyle(it).transitionDuration") == "0s"
    page.set_viewport_size({"width": 1280, "height": 800})
    page.locator("[data-zone='clean']").click()
    expect(page.locator("[data-count]")).to_contain_text("Putt 3")
    expect(bubble).to_have_class(re.compile(r"\bsettle\b"))


def test_the_first_content_of_a_step_stands_soon_after_a_click_and_the_lesson_is_asked_once(page: Page):
    lesson = f"/lessons/{open_lesson(page)}"
    asked: list[str] = []
    page.on("request", lambda it: asked.append(it.url) if it.url.split("?")[0].endswith(f"/api{lesson}") else None)
    page.goto(f"{lesson}/judge")
    expect(page.locator("[data-headline]")).to_be_visible()
    stands(page)
    assert len(asked) == 1
    for step in ("Set", "Start", "Judge"):
        page.get_by_role("navigation", name="Run sheet").get_by_role("link", name=re.compile(f"^{step}")).click()
        # The frame itself never goes away.
        expect(page.get_by_role("navigation", name="Run sheet")).to_be_visible()
        expect(page.locator("main svg").first).to_be_visible()


def test_nothing_of_a_page_is_refused_by_its_own_policy(page: Page):
    said: list[str] = []
    page.on("console", lambda it: said.append(it.text) if "Content Security Policy" in it.text else None)
    for view in ("today", "set", "judge", "see-map", "aids"):
        visit(page, view)
    assert said == []


def test_a_slide_says_what_it_slides_along(page: Page):
    own_lesson(page, "Sliding Golfer")
    start_block(page, "Ruler board")
    expect(page.get_by_role("slider")).to_have_attribute("aria-label", "Where the ball crossed the ruler")
    pictures = page.request.get("/api/instruments").json()
    slides = {it["about"]["kind"]: it["about"]["slides"] for it in pictures if it["about"]["entry"] == "slide"}
    assert "ruler" not in slides["plumb"] and "mirror" in slides["ground_mirror"] and all(slides.values())


@pytest.mark.parametrize("size", ["tablet", "phone"])
def test_the_run_sheet_says_every_step_and_cuts_none_where_it_is_narrow(page: Page, size):
    page.set_viewport_size(dict(zip(("width", "height"), SIZES[size], strict=True)))
    for name in ("Junia", "Pell", "Idris"):
        [golfer] = page.request.get("/api/golfers", params={"q": name}).json()["items"]
        [lesson, *_] = page.request.get(f"/api/golfers/{golfer['golfer']['id']}/lessons").json()["items"]
        for units in ("metric", "feet"):
            page.goto(f"/lessons/{lesson['lesson']['id']}/judge")
            page.evaluate(f"localStorage.setItem('libella.units', '{units}')")
            page.reload()
            brief = page.locator("[data-brief]")
            # Each has come when the last has: the lesson before the judgement of it.
            for n in range(6):
                expect(brief.nth(n)).not_to_be_empty()
            cut = brief.evaluate_all(
                "all => all.filter(it => it.scrollWidth > it.clientWidth || !it.textContent).map(it => it.outerHTML)"
            )
            assert cut == [], cut
