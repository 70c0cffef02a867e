"""Whole lessons entered through the API as a coach enters them, and every sentence that any page says of them."""

import math
from collections.abc import Sequence
from datetime import UTC, datetime, timedelta

import uuid6

from tests.conftest import Coach

BY_STRING = {"way": "string", "measured": [{"at_m": 1.0, "beside_m": 0.0}] * 2}


class Told:
    """A lesson being entered; times run on so that what comes later is later."""

    def __init__(self, coach: Coach, golfer: str | None = None, *, hand: str = "right", days_ago: float = 0.0) -> None:
        self.coach = coach
        self.golfer = golfer or coach.golfer(hand=hand, level="skilled")["id"]
        self.days_ago = days_ago
        self.at = datetime.now(UTC) - timedelta(days=days_ago)
        self.id = coach.lesson(self.golfer, started_at=self.at.isoformat())["id"]

    def now(self) -> str:
        self.at = datetime.now(UTC) - timedelta(days=self.days_ago)
        return self.at.isoformat()

    def lay(self, kind: str = "board", sizes: dict | None = None, *, proof: dict | None = BY_STRING, **more) -> str:
        putt = {"distance_m": 2.5, "past_m": 0.35, "green_speed_ft": 10}
        usual = {"distance_m": 1.0, "half_width_m": 0.1, "mark_m": 0.005} if kind == "board" else {}
        body = putt | {
            "rig_kind": kind,
            "rig_sizes_m": usual | (sizes or {}),
            "lesson_id": self.id,
            "laid_at": self.now(),
        }
        station = self.coach.put(f"/stations/{uuid6.uuid7()}", **body | more)["id"]
        if proof:
            self.coach.put(f"/stations/{station}/proof", **proof)
        return station

    def block(self, station: str, planned: int, asks: Sequence[str] = (), **more) -> str:
        body = {
            "station_id": station,
            "guided": False,
            "planned": planned,
            "asks": list(asks),
            "started_at": self.now(),
        }
        return self.coach.put(f"/blocks/{uuid6.uuid7()}", **body | more)["id"]

    def putt(self, block: str, raw: dict, **notes) -> str:
        return self.coach.putt(block, raw, taken_at=self.now(), notes=notes)["id"]

    def ruler(self, block: str, offsets_mm: Sequence[float], notes: Sequence[dict] | None = None) -> list[str]:
        told = notes or [{}] * len(offsets_mm)
        return [self.putt(block, {"offset_m": mm / 1000}, **note) for mm, note in zip(offsets_mm, told, strict=True)]

    def compare(self, conditions: Sequence[dict], each: int, question: str = "line", **more) -> list[str]:
        """A comparison begun, one condition after the other; its blocks."""
        body = {"lesson_id": self.id, "conditions": list(conditions), "each": each, "order": "in_order", "run": 3}
        found = self.coach.put(
            f"/comparisons/{uuid6.uuid7()}", **body | {"question": question, "started_at": self.now()} | more
        )
        return [it["id"] for it in found["blocks"]]

    def series(self, link: str, planned: int, kind: str | None = None, **more) -> str:
        id = str(uuid6.uuid7())
        body = {"lesson_id": self.id, "link": link, "cue": "line", "aided": False, "planned": planned, "kind": kind}
        self.coach.put(f"/aim-series/{id}", **body | {"started_at": self.now()} | more)
        return id

    def set_downs(self, series: str, raws: Sequence[dict]) -> None:
        for raw in raws:
            self.coach.put(f"/set-downs/{uuid6.uuid7()}", series_id=series, raw=raw, taken_at=self.now())

    def angles(self, link: str, degrees: Sequence[float], **more) -> None:
        series = self.series(link, len(degrees), **more)
        self.set_downs(series, [{"angle_deg": it, "seen_deg": 0.1} for it in degrees])

    def pages(self, *blocks: str, before: str | None = None) -> dict[str, str]:
        """Everything each page says, in one text a page."""
        get = self.coach.get
        lesson = get(f"/lessons/{self.id}/findings")
        said = {
            "headline": lesson["headline"],
            "golfer": lesson["for_golfer"],
            "lesson": " | ".join(texts({k: v for k, v in lesson.items() if k not in ("fan",)})),
            "sheet": " | ".join(
                texts({k: v for k, v in get(f"/lessons/{self.id}").items() if k in ("stand", "sight", "aim")})
            ),
            "page": " | ".join(texts(get(f"/golfers/{self.golfer}/lessons"))),
            "line": " | ".join(texts(_shown(get(f"/golfers/{self.golfer}/line")))),
        }
        for n, block in enumerate(blocks):
            judged = {k: v for k, v in self.coach.judged(block).items() if k != "rays"}
            said[f"block{n}"] = " | ".join(texts(judged["judgement"]) + texts(get(f"/blocks/{block}/read")))
        if len(blocks) > 1:
            query = {"first": self.id, "second": self.id, "first_block": blocks[0], "second_block": blocks[1]}
            found = get("/compare-sides", **query)
            said["two"] = " | ".join(texts({k: v for k, v in found.items() if k != "fan"}))
        if before:
            found = get("/compare-sides", first=before, second=self.id)
            said["two"] = " | ".join(texts({k: v for k, v in found.items() if k != "fan"}))
        return said

    def whole(self, *blocks: str, before: str | None = None) -> dict[str, str]:
        """The same, with what follows: what can be changed, the paper, the wall, the golfer's schools."""
        said, get = self.pages(*blocks, before=before), self.coach.get
        for name, path in (
            ("change", f"/lessons/{self.id}/change"),
            ("paper", f"/lessons/{self.id}/summary"),
            ("screen", f"/lessons/{self.id}/finding-shown"),
            ("eyes", f"/lessons/{self.id}/eyes"),
            ("looks", f"/lessons/{self.id}/first-looks"),
        ):
            said[name] = " | ".join(texts(get(path)))
        return said


def _shown(line: dict) -> list[dict]:
    """Lines without their keys, which are addresses."""
    return [
        {name: value for name, value in it.items() if name not in ("key", "keys")}
        for it in [*line["lines"], *line["shares"]]
    ]


def texts(told: object) -> list[str]:
    """Every sentence in what was answered."""
    if isinstance(told, str):
        return [told] if " " in told else []
    if isinstance(told, dict):
        # What opens a claim is an address, and is said to nobody.
        return [one for name, it in told.items() if name not in ("key", "why") for one in texts(it)]
    if isinstance(told, list):
        return [one for it in told for one in texts(it)]
    assert told is None or (isinstance(told, int | float | bool) and not (isinstance(told, float) and math.isnan(told)))
    return []
