"""Every instrument is read where it is used, each from the registry: by taps at both widths, and by a key."""

import re

from playwright.sync_api import Locator, Page, expect

from libella.core.instruments import Rig, instruments, lay
from libella.core.start.watched import PREFIX, watched

from ...conftest import now
from ..conftest import kept, own_lesson, stands

SIZES = ((820, 1180), (390, 844))
BOARD = {"rig_kind": "board", "rig_sizes_m": {"distance_m": 1.0, "half_width_m": 0.1, "mark_m": 0.005}}
PUTT = {"distance_m": 2.5, "past_m": 0.35, "green_speed_ft": 10}


def block_on(page: Page, lesson: str, asks: list[str], **laid) -> str:
    station = kept(page, "stations", lesson_id=lesson, laid_at=now(), **PUTT, **laid)
    told = {"station_id": station, "guided": False, "planned": 10, "asks": asks, "started_at": now()}
    return kept(page, "blocks", **told)


def lesson_with_laser(page: Page, name: str) -> str:
    """Its cautions are read once, so that a laser may be used."""
    own_lesson(page, name, hand="right")
    lesson = page.url.split("/lessons/")[1].split("/")[0]
    assert page.request.put(f"/api/lessons/{lesson}/laser-cautions").ok
    return lesson


def sized(page: Page, size: tuple[int, int]) -> None:
    page.set_viewport_size({"width": size[0], "height": size[1]})
    stands(page)


def touch(entry: Locator, zones: list[dict], nth: int) -> dict:
    """Tap that zone of a picture, or where it is slid along find the mark beside the middle; gives the zone's raw."""
    page = entry.page
    slider = entry.get_by_role("slider")
    if not slider.count():
        zone = entry.locator(f"[data-zone='{zones[nth]['name']}']")
        box = zone.bounding_box()
        assert box is not None and box["width"] >= 40, (zones[nth]["name"], box)
        page.touchscreen.tap(box["x"] + box["width"] / 2, box["y"] + box["height"] / 2)
        return zones[nth]["raw"]
    entry.get_by_role("button", name="One mark to the right" if nth else "One mark to the left").tap()
    found = zones[len(zones) // 2 + (1 if nth else -1)]
    entry.get_by_role("button", name=f"Record {found['name']}", exact=True).tap()
    return found["raw"]


def by_key(page: Page, zones: list[dict]) -> dict:
    """The last zone that has a key; where none has, the mark in the middle."""
    keyed = [it for it in zones if it["key"]]
    page.keyboard.press(keyed[-1]["key"] if keyed else "Enter")
    return (keyed[-1] if keyed else zones[len(zones) // 2])["raw"]


def past_steps(page: Page, nth: int) -> None:
    """What is asked by itself of a putt that touched something is another test's."""
    step, count = page.locator("[data-note-step]"), page.locator("[data-count]")
    expect(step.or_(count.filter(has_text=f"Putt {nth}")).first).to_be_visible()
    while step.count():
        page.keyboard.press("s")
        stands(page)
    expect(count).to_contain_text(f"Putt {nth}")


def test_every_rig_is_read_at_its_putts(page: Page):
    lesson = lesson_with_laser(page, "Every Rig")
    for kind, known in instruments().items():
        if not issubclass(known, Rig) or not known.reads_start or known.about.measures != "start":
            continue
        block = block_on(page, lesson, [], rig_kind=kind, rig_sizes_m={})
        zones = page.request.get(f"/api/blocks/{block}/entry").json()["zones"]
        page.set_viewport_size({"width": 820, "height": 1180})
        page.goto(f"/lessons/{lesson}/start?block={block}")
        expect(page.locator("[data-count]")).to_contain_text("Putt 1")
        told: list[dict] = []
        for n, size in enumerate(SIZES):
            sized(page, size)
            told.append(touch(page.locator("main"), zones, -n))
            past_steps(page, n + 2)
        told.append(by_key(page, zones))
        past_steps(page, 4)
        expect(page.locator("[data-link='saved']")).to_be_visible()
        stands(page)
        readings = page.request.get(f"/api/blocks/{block}/judgement").json()["block"]["readings"]
        assert [it["raw"] for it in readings] == told, kind


def test_every_instrument_beside_the_putt_is_noted_at_it(page: Page):
    lesson = lesson_with_laser(page, "Every Aid")
    board = lay("board", BOARD["rig_sizes_m"])
    for kind, known in instruments().items():
        name = PREFIX + kind
        note = watched(board, [known.laid({})]).get(name)
        if note is None or issubclass(known, Rig):
            continue
        block = block_on(page, lesson, [name], **BOARD, aids=[{"kind": kind, "sizes": {}}])
        page.set_viewport_size({"width": 820, "height": 1180})
        page.goto(f"/lessons/{lesson}/start?block={block}")
        expect(page.locator("[data-count]")).to_contain_text("Putt 1")
        told: list[str | float] = []
        for n, size in enumerate((*SIZES, SIZES[1])):
            sized(page, size)
            page.keyboard.press("0")
            step = page.locator(f"[data-note-step='{name}']")
            expect(step).to_be_visible()
            told.append(tell(step, note.options, n))
            expect(step).to_have_count(0)
            past_steps(page, n + 2)
        expect(page.locator("[data-link='saved']")).to_be_visible()
        stands(page)
        readings = page.request.get(f"/api/blocks/{block}/judgement").json()["block"]["readings"]
        assert [it["notes"][name] for it in readings] == told, kind


def tell(step: Locator, options: dict[str, str], nth: int) -> str | float:
    """The first by a tap, the last by a tap, and by a key; of a scale what it begins with, and a mark further."""
    page = step.page
    if options:
        codes = list(options)
        at = (0, len(codes) - 1, min(1, len(codes) - 1))[nth]
        if nth == 2:
            page.keyboard.press(str(at + 1))
        else:
            words = re.compile(rf"^(◂ )?{re.escape(options[codes[at]])}( ▸)?( ?\d)?$")
            step.get_by_role("group").get_by_role("button", name=words).tap()
        return codes[at]
    if nth == 1:
        step.get_by_role("button", name="More").tap()
    scale = float(step.get_by_role("slider").input_value())
    if nth == 2:
        page.keyboard.press("Enter")
    else:
        step.get_by_role("group").last.get_by_role("button").nth(1).tap()
    return scale


def test_every_instrument_that_reads_the_face_is_read_at_set_downs(page: Page):
    lesson = lesson_with_laser(page, "Every Face")
    station = kept(page, "stations", lesson_id=lesson, laid_at=now(), **PUTT, **BOARD)
    for kind, known in instruments().items():
        if known.about.measures != "face":
            continue
        sizes = known.laid({}).sizes()
        told = {"lesson_id": lesson, "link": "face", "planned": 5, "kind": kind, "sizes": sizes}
        series = kept(page, "aim-series", **told, station_id=station, started_at=now())
        zones = page.request.post("/api/instruments/entry", data={"kind": kind, "sizes": sizes}).json()["zones"]
        page.set_viewport_size({"width": 820, "height": 1180})
        page.goto(f"/lessons/{lesson}/aim")
        page.locator("[data-aim-series]").first.get_by_role("button", name="Go on reading").tap()
        raws: list[dict] = []
        for n, size in enumerate((*SIZES, None)):
            expect(page.locator("[data-set-count]")).to_contain_text(f"Set-down {n + 1}")
            if size:
                sized(page, size)
            raws.append(touch(page.locator("main"), zones, -n) if size else by_key(page, zones))
        expect(page.locator("[data-set-count]")).to_contain_text("Set-down 4")
        expect(page.locator("[data-link='saved']")).to_be_visible()
        sheets = page.request.get(f"/api/lessons/{lesson}/aim").json()["sheets"]
        [found] = [it for it in sheets if it["series"]["id"] == series]
        assert [it["raw"] for it in found["set_downs"]] == raws, kind
