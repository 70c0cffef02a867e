"""A lesson in which everything is noted, said and doubted: no page of it, and nothing printed of it, shows a code."""

import re

import uuid6
from playwright.sync_api import Page, expect

from ..conftest import now
from .conftest import own_lesson, stands

CODE = re.compile(r"\b[a-z]+_[a-z0-9_]+\b")
RIGS = ("peg_gate", "bridge_row", "raised_string", "narrow_rail", "no_rig")


def _put(page: Page, path: str, **body) -> dict:
    answer = page.request.put(f"/api{path}", data=body)
    assert answer.ok, f"{path}: {answer.text()}"
    return answer.json()


def _everything(page: Page) -> str:
    """Blocks on several rigs in which each option of each note was told once, and each zone tapped."""
    own_lesson(page, "Everything Golfer", hand="right")
    lesson = page.url.split("/")[-2]
    told = page.request.get("/api/instruments").json()
    aids = [
        {"kind": it["about"]["kind"], "sizes": {}} for it in told
        if it["about"]["kind"] in ("putter_gate", "rings", "curved_rail", "grip_rod", "elevated_string")
    ]  # fmt: skip
    for rig in RIGS:
        station, block = uuid6.uuid7(), uuid6.uuid7()
        body = {"lesson_id": lesson, "distance_m": 3.0, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": rig}
        _put(page, f"/stations/{station}", **body, aids=aids, laid_at=now())
        plain = {name: value for name, value in body.items() if name != "lesson_id"}
        drawn = page.request.post("/api/stations/preview", data=plain | {"aids": aids}).json()
        notes = [*page.request.get("/api/notes").json(), *drawn["watched"]]
        asks = [it["note"] for it in notes]
        how = {"condition": "near spot", "factors": {"cue": "near_spot", "routine": "quicker", "hole_side": "other"}}
        _put(
            page,
            f"/blocks/{block}",
            station_id=str(station),
            guided=True,
            planned=40,
            asks=asks,
            started_at=now(),
            **how,
        )
        zones = page.request.get(f"/api/blocks/{block}/entry").json()["zones"] or [{"raw": {"start": "not_watched"}}]
        for n in range(max([9, *(len(it["options"]) for it in notes), len(zones)])):
            noted = {it["note"]: list(it["options"])[n % len(it["options"])] for it in notes if it["options"]}
            reading = uuid6.uuid7()
            raw = zones[n % len(zones)]["raw"]
            _put(page, f"/readings/{reading}", block_id=str(block), raw=raw, notes=noted, taken_at=now())
            if n < 3:
                _put(page, f"/readings/{reading}/flags", flags=["rough", "talked_through", "unverified"][: n + 1])
        _put(page, f"/blocks/{block}/circumstances", disturbances=["wind", "hurry"], comfort=3, trust=4)
    return lesson


def test_no_page_shows_a_code_when_everything_was_noted(page: Page):
    lesson = _everything(page)
    golfer = page.request.get(f"/api/lessons/{lesson}").json()["golfer"]["id"]
    found: list[str] = []
    blocks = [it["id"] for it in page.request.get(f"/api/lessons/{lesson}").json()["blocks"]]
    pages = [
        "/", "/drills", f"/golfers/{golfer}", f"/golfers/{golfer}/practice",
        f"/wall/{lesson}", f"/wall/{lesson}/finding",
        *(f"/lessons/{lesson}/{step}" for step in ("set", "stand", "see", "aim", "judge", "change", "keep", "sensors")),
        *(f"/lessons/{lesson}/start?block={it}" for it in blocks),
        *(f"/lessons/{lesson}/judge?block={it}" for it in blocks),
    ]  # fmt: skip
    for to in pages:
        page.goto(to)
        expect(page.locator("body")).not_to_be_empty()
        stands(page)
        page.evaluate("document.querySelectorAll('main details').forEach(it => { it.open = true })")
        shown = page.evaluate(
            "[document.body.innerText, ...[...document.querySelectorAll('[aria-label], [title], svg text')]"
            ".map(it => it.getAttribute('aria-label') || it.getAttribute('title') || it.textContent)].join(' · ')"
        )
        found += [f"{to}: {it}" for it in sorted(set(CODE.findall(shown)))]
    assert found == [], found
    # What is drawn for paper holds no code either.
    for sheet in page.request.get("/api/prints").json():
        plan = {"distance_m": 3.0, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "peg_gate"}
        drawn = page.request.post(f"/api/prints/{sheet['name']}", params={"form": "svg"}, data=plan)
        if drawn.ok:
            assert CODE.findall(re.sub(r"<[^>]*>", " ", drawn.text())) == [], sheet["name"]
