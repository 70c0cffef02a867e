"""Any lesson there may be: everything that can be recorded, in any order, and every page that speaks of it.

What is recorded at random may be refused; nothing that was asked may end in an error of ours.
"""

import itertools
import os
import random
from collections.abc import Callable, Iterator
from datetime import UTC, datetime, timedelta

import uuid6
from fastapi.testclient import TestClient

from libella.core.change.complaint import ABOUT_IN
from libella.core.change.drills import drills
from libella.core.instruments import instruments
from libella.core.instruments.rig import Rig
from libella.core.judge.findings.ranked import RULES
from libella.core.measure.flag import FLAGS
from libella.core.see.position import LEVERS
from libella.core.stand.set_up import ENTRIES
from libella.core.start.notes import NOTES

SIDES = ("left", "right", "both", "short", "past")
LINKS = ("face", "mark", "to_mark")
FACTORS = ("set_up", "cue", "routine", "kit", "trial", "hole_side")
WAYS = ("wide base", "blank", "other side", "mine")


class Failed(AssertionError):
    """A page or a write that ended in an error of ours."""


class AnyLesson:
    """One golfer's lesson, recorded at random."""

    def __init__(self, client: TestClient, seed: int) -> None:
        self.client, self.rng, self.seed = client, random.Random(seed), seed
        self.kept: list[str] = []
        """What was recorded, in words, for whoever reads a failure."""
        self.refused = 0
        self.stations: list[str] = []
        self.blocks: list[str] = []
        self.readings: list[str] = []
        self.at = datetime.now(UTC) - timedelta(hours=2)
        self.golfer, self.id = self._id(), self._id()
        self._put(
            f"/golfers/{self.golfer}",
            name="Any Golfer",
            hand=self._any("right", "left"),
            level=self._any("club", "skilled"),
        )
        self._begin(self.id)

    # ---- asking

    def _id(self) -> str:
        return str(uuid6.uuid7())

    def _any(self, *of):
        return self.rng.choice(of)

    def _now(self) -> str:
        """A moment later than the one before: lessons are recorded in order."""
        self.at += timedelta(seconds=self.rng.choice((1, 15, 40)))
        return self.at.isoformat()

    def _said(self, way: str, path: str, **more):
        answer = self.client.request(way, f"/api{path}", **more)
        if answer.status_code >= 500:
            told = "\n".join(self.kept[-40:])
            raise Failed(f"seed {self.seed}: {way} {path} {answer.status_code}\n{answer.text[:400]}\nafter\n{told}")
        return answer

    def _put(self, path: str, **body) -> dict | None:
        """Record something; None where it was refused."""
        answer = self._said("PUT", path, json=body)
        told = {name: it for name, it in body.items() if not str(name).endswith(("_id", "_at"))}
        if answer.status_code >= 400:
            self.refused += 1
            self.kept.append(f"  refused {path.split('/')[1]} {told} {answer.text[:200]}")
            return None
        self.kept.append(f"  {path.split('/')[1]} {told}")
        return answer.json()

    def _get(self, path: str, **query):
        answer = self._said("GET", path, params=query)
        return answer.json() if answer.status_code == 200 else None

    # ---- what can be recorded

    def _begin(self, lesson: str) -> None:
        self._put(
            f"/lessons/{lesson}",
            golfer_id=self.golfer,
            place="Any floor",
            green_speed_ft=self._any(8, 10, 12),
            started_at=self._now(),
        )

    def record(self, acts: int | None = None) -> None:
        """So many acts, any of those a coach has."""
        ways = self._ways()
        if self.rng.random() < 0.8:
            self._lay()
        for _ in range(acts or self.rng.randint(2, 9)):
            self.rng.choices([way for way, _ in ways], [often for _, often in ways])[0]()

    def _ways(self) -> list[tuple[Callable[[], None], int]]:
        return [
            (self._lay, 3), (self._putts, 8), (self._comparison, 3), (self._set_downs, 4), (self._aim_turns, 2),
            (self._first_looks, 3), (self._sight_test, 2), (self._eye_takes, 3), (self._eye_looks, 2),
            (self._set_up, 2), (self._complaint, 2), (self._circumstances, 1), (self._flag, 1), (self._void, 1),
            (self._answer, 1), (self._chosen, 1), (self._change, 1), (self._sensor, 2), (self._round, 1),
            (self._card, 1), (self._drill, 1), (self._kit, 1), (self._proof, 2), (self._how, 1), (self._next_lesson, 1),
        ]  # fmt: skip

    def _next_lesson(self) -> None:
        """The same golfer again, some days later, on another floor."""
        self.before, self.id = self.id, self._id()
        self.stations, self.blocks = [], []
        self._begin(self.id)

    def _lay(self) -> None:
        rigs = [kind for kind, one in instruments().items() if issubclass(one, Rig)]
        aids = [kind for kind, one in instruments().items() if not issubclass(one, Rig)]
        breaks = self.rng.random() < 0.4
        more: dict = {}
        if breaks:
            more = {
                "falls_right_percent": self._any(-2.5, -1.0, 0.8, 2.0),
                "falls_forward_percent": self._any(-2.0, 0.0, 1.5),
                "falls_doubt_percent": 0.1,
            }
            if self.rng.random() < 0.7:
                more["read"] = {
                    "place": "outside",
                    "side": self._any("left", "right"),
                    "outside_m": self._any(0.05, 0.1),
                }
        self._put(f"/lessons/{self.id}/laser-cautions")
        station = self._id()
        if self._put(
            f"/stations/{station}",
            lesson_id=self.id,
            laid_at=self._now(),
            distance_m=self._any(1.0, 1.83, 2.5, 4.57, 8.0),
            past_m=self._any(0.2, 0.35),
            green_speed_ft=10,
            rig_kind=self._any("board", "board", "no_rig", *rigs),
            aids=[{"kind": kind} for kind in self.rng.sample(aids, self._any(0, 0, 1, 2))],
            **more,
        ):
            self.stations.append(station)
            if self.rng.random() < 0.6:
                self._proof()

    def _proof(self) -> None:
        if not self.stations:
            return
        way = self._any("string", "tape", "second_laser", "rolled", "none")
        found: dict = {}
        if way in ("string", "tape", "second_laser"):
            found = {"measured": [{"at_m": 1.0, "beside_m": self._any(0.0, 0.002, 0.01)} for _ in range(2)]}
        if way == "rolled":
            found = {
                "rolls": [{"way": it, "length_m": 2.5, "drift_m": self._any(0.0, 0.01)} for it in ("out", "back") * 2]
            }
        self._put(f"/stations/{self.stations[-1]}/proof", way=way, **found)

    def _factors(self) -> dict[str, str]:
        return {name: self._any(*WAYS) for name in self.rng.sample(FACTORS, self._any(0, 0, 1, 2))}

    def _note(self, name: str):
        note = NOTES[name]
        if note.options and (note.bounds is None or self.rng.random() < 0.6):
            return self._any(*note.options)
        if note.bounds is None:
            return ""
        low, high = note.bounds.low, note.bounds.high
        steps = max(1, round((high - low) / (note.step or 1.0)))
        return round(low + self.rng.randint(0, steps) * (note.step or 1.0), 6)

    def _zones(self, block: str) -> list[dict]:
        told = self._get(f"/blocks/{block}/entry") or {}
        return [it["raw"] for it in told.get("zones", [])]

    def _read(self, block: str, count: int, asks: list[str], zones: list[dict]) -> None:
        if not zones:
            return
        # A golfer keeps to a neighbourhood: readings all over a ruler are no golfer's.
        middle, wide = self.rng.randrange(len(zones)), max(1, len(zones) // self._any(2, 8, 40))
        for _ in range(count):
            at = min(len(zones) - 1, max(0, middle + self.rng.randint(-wide, wide)))
            notes = {name: self._note(name) for name in asks if self.rng.random() < 0.9}
            reading = self._id()
            if self._put(f"/readings/{reading}", block_id=block, raw=zones[at], taken_at=self._now(), notes=notes):
                self.readings.append(reading)

    def _asks(self, *counts: int) -> list[str]:
        """What is noted of every putt; what only a string allows is asked now and then, and refused without one."""
        strung = self.rng.random() < 0.15
        return self.rng.sample([it for it in NOTES if strung or not NOTES[it].needs_string], self._any(*counts))

    def _putts(self) -> None:
        if not self.stations:
            return self._lay()
        asks = self._asks(0, 1, 2, 3, 6)
        block = self._id()
        planned = self._any(4, 6, 8, 10)
        if not self._put(
            f"/blocks/{block}",
            station_id=self._any(*self.stations[-2:]),
            guided=self.rng.random() < 0.3,
            planned=planned,
            asks=asks,
            hole=self.rng.random() < 0.8,
            factors=self._factors(),
            path_model=self._any("", "", "straight", "arc"),
            condition=self._any("as usual", "typed before"),
            started_at=self._now(),
        ):
            return
        self.blocks.append(block)
        self._read(block, self._any(1, 3, planned), asks, self._zones(block))

    def _comparison(self) -> None:
        if not self.stations:
            return self._lay()
        asks = self._asks(0, 1, 2)
        factor, each = self._any(*FACTORS), self._any(3, 6)
        conditions = [
            {"name": name, "station_id": self.stations[-1], "factors": {factor: level} if level else {}}
            for name, level in (("as usual", ""), (self._any(*WAYS), self._any(*WAYS)))
        ]
        told = self._put(
            f"/comparisons/{self._id()}",
            lesson_id=self.id,
            conditions=conditions,
            each=each,
            order=self._any("alternating", "in_order"),
            run=3,
            question=self._any("line", "spread", "window", "roll", "still", "touch", "strike", "finish"),
            asks=asks,
            started_at=self._now(),
        )
        if not told:
            return
        zones = self._zones(told["blocks"][0]["id"])
        for one in told["blocks"]:
            self.blocks.append(one["id"])
        for turn in told["plan"][: self._any(2, 2 * each, 2 * each)]:
            self._read(turn["block_id"], 1, asks, zones)

    def _raws(self, kind: str) -> list[dict]:
        """What an aim tool, as laid with its usual sizes, can be told."""
        zones = [dict(it.raw) for it in instruments()[kind]().zones()]
        return zones or [{"angle_deg": it / 2, "seen_deg": 0.3} for it in range(-4, 5)]

    def _set_downs(self) -> None:
        kind = self._any(None, "in_words", "square_reference", "putter_laser", "face_mirror", "ball_box", "rail_square")
        series = self._id()
        if not self._put(
            f"/aim-series/{series}",
            lesson_id=self.id,
            link=self._any(*LINKS) if kind is None else "face",
            cue=self._any("line", "stripe", "blank", "near_spot"),
            aided=self.rng.random() < 0.3,
            planned=7,
            kind=kind,
            set_up=self._any("", "", "wide base"),
            factors=self._factors(),
            station_id=self._any(None, *self.stations[-1:]),
            started_at=self._now(),
        ):
            return
        raws = [{"angle_deg": it / 2, "seen_deg": 0.3} for it in range(-4, 5)] if kind is None else self._raws(kind)
        for _ in range(self.rng.randint(1, 8)):
            self._put(f"/set-downs/{self._id()}", series_id=series, raw=self._any(*raws), taken_at=self._now())

    def _aim_turns(self) -> None:
        ways = [{"name": "line", "cue": "line"}, {"name": "blank", "cue": "blank"}]
        if self.rng.random() < 0.4:
            ways = [{"name": "natural"}, {"name": "aided", "aided": True}]
        told = self._put(
            f"/aim-turns/{self._id()}",
            lesson_id=self.id,
            ways=ways,
            each=self._any(4, 6),
            kind=self._any(None, "in_words"),
            order="alternating",
            run=2,
            question=self._any("line", "spread", "window"),
            station_id=self._any(None, *self.stations[-1:]),
            started_at=self._now(),
        )
        while told:
            turns = self._get(f"/lessons/{self.id}/aim")["turns"]
            turn = turns[-1]["turn"] if turns else None
            if not turn or self.rng.random() < 0.05:
                return
            raws = {"angle_deg": self.rng.randint(-4, 4) / 2, "seen_deg": 0.3}, {"face": self._any("left", "square")}
            told_one = {"series_id": turn, "taken_at": self._now()}
            if not any(self._put(f"/set-downs/{self._id()}", raw=raw, **told_one) for raw in raws):
                return

    def _first_looks(self) -> None:
        lever = self._any(None, *LEVERS)
        for _ in range(self.rng.randint(1, 5)):
            self._put(
                f"/first-looks/{self._id()}",
                lesson_id=self.id,
                lever=lever,
                way=self._any("plus", "minus"),
                grade=self._any("", "", "bit", "much"),
                other_side=self._any(False, False, True),
                moved=self._any(None, None, 24.0) if lever in ("inside", "behind") else None,
                looks=self._any("left", "straight", "right"),
                playable=self._any(None, True, False),
                taken_at=self._now(),
            )

    def _sight_test(self) -> None:
        test = self._id()
        told = self._put(
            f"/sight-tests/{test}",
            lesson_id=self.id,
            method=self._any("directions", "directions", "turn", "point"),
            started_at=self._now(),
            station_id=self._any(None, *self.stations[-1:]),
            away_m=2.0,
            position=self._any({}, {"inside": 20}, {"chin": 5}),
        )
        for _ in range(self._any(3, 8, 14)):
            if not told or not told.get("next"):
                break
            true = told["next"].get("true_deg")
            raw = {"angle_deg": self._any(-1.0, 0.5, 1.5)}
            if true is not None:
                raw = {"true_deg": true, "looks": self._any("left", "straight", "right")}
            told = self._put(f"/sight-trials/{self._id()}", test_id=test, raw=raw, taken_at=self._now())
        self._put(f"/sight-tests/{test}/{self._any('shown', 'left', 'shown')}")

    def _eye_takes(self) -> None:
        inside, set_up = self._any(-0.08, -0.024, 0.0, 0.012, 0.075), self._any("", "", "further in", "chin tucked")
        for _ in range(self._any(1, 2, 2, 3)):
            off = inside + self.rng.randint(-3, 3) / 1000
            self._put(
                f"/eye-takes/{self._id()}",
                lesson_id=self.id,
                lead={"inside_m": off, "behind_m": 0.0},
                trail={"inside_m": off, "behind_m": 0.065},
                way=self._any("mirror", "mirror", "plumb"),
                set_up=set_up,
                station_id=self._any(None, *self.stations[-1:]),
                taken_at=self._now(),
            )

    def _eye_looks(self) -> None:
        string = self.rng.random() < 0.6
        look: dict = {
            "way": "strip",
            "device": self._any("bar", "slot"),
            "seen": self._any("dark_near", "light", "dark_far"),
        }
        against = self._any("ball", "ball_line", "putter_line")
        if string:
            look = {
                "way": "string",
                "covers": self._any("splits", "off") if against != "ball" else self._any("splits", "quarter", "edge"),
                "against": against,
                "side": self._any("outside", "inside"),
                "string_height_m": self._any(0.15, 0.22),
                "lean_deg": self._any(0.0, 0.0, 1.5),
                "eye_height_m": 1.5,
            }
        if self.rng.random() < 0.4:
            told = self._any("inside", "over", "outside", "behind", "level", "ahead")
            size = None if told in ("over", "level") else self._any(None, 0.024)
            look = {"way": self._any("mirror", "plumb"), "told": told, "size_m": size}
        for _ in range(self._any(1, 3)):
            self._put(f"/eye-looks/{self._id()}", lesson_id=self.id, taken_at=self._now(), **look)
        if self.rng.random() < 0.3:
            zone = self._any(None, [5, 40])
            self._put(f"/golfers/{self.golfer}/eyes", sighting_eye=self._any("left", "right", ""), zone_mm=zone)

    def _set_up(self) -> None:
        first = None
        for _ in range(self._any(1, 2, 3)):
            values = {}
            for name in self.rng.sample(list(ENTRIES), self._any(1, 2, 5)):
                entry = ENTRIES[name]
                if entry.options and (entry.unit == "words" or self.rng.random() < 0.5):
                    values[name] = self._any(*entry.options)
                elif entry.unit != "words":
                    steps = max(1, round((entry.high - entry.low) / (entry.step or 1)))
                    values[name] = round(entry.low + self.rng.randint(0, steps) * entry.step, 6)
            one = self._id()
            again = {"again_of": first} if first else {}
            if self._put(f"/set-ups/{one}", lesson_id=self.id, values=values, taken_at=self._now(), **again):
                first = first or one

    def _complaint(self) -> None:
        self._put(
            f"/lessons/{self.id}/complaint",
            misses=self.rng.sample(SIDES, self._any(0, 1, 2)),
            from_m=self._any(None, 2.0),
            felt=self._any(None, "sight", "mark", "aim", "stroke", "strike", "stillness", "read", "pace"),
            wants=self._any(None, "fewer_misses", "see_straight", "stop_steering", "better_pace", "to_know"),
            trust=self._any(None, 2),
            about=self.rng.sample(list(ABOUT_IN), self._any(0, 0, 1, 2)),
        )

    def _circumstances(self) -> None:
        if self.blocks:
            body = {
                "comfort": self._any(None, 1, 4),
                "trust": self._any(None, 2, 5),
                "disturbances": self._any([], ["wind"]),
                "looker": self._any("", "golfer", "coach"),
            }
            self._put(f"/blocks/{self.blocks[-1]}/circumstances", **body)

    def _how(self) -> None:
        if self.blocks:
            self._put(f"/blocks/{self._any(*self.blocks)}/how", condition="", factors=self._factors())

    def _flag(self) -> None:
        if self.readings:
            self._put(f"/readings/{self._any(*self.readings)}/flags", flags=[self._any(*FLAGS)])

    def _void(self) -> None:
        if self.readings:
            self._put(f"/readings/{self._any(*self.readings)}/voided", reason="talked")

    def _answer(self) -> None:
        answer = {
            "cause": self._any(*RULES),
            "answer": self._any("accepted", "rejected", "overridden"),
            "words": "mine",
        }
        self._put(f"/finding-answers/{self._id()}", lesson_id=self.id, answered_at=self._now(), **answer)

    def _chosen(self) -> None:
        told = self._get(f"/lessons/{self.id}/change") or {"offers": []}
        offers = [(it["cause"], one) for it in told["offers"] for one in it["proposals"]]
        body: dict = {
            "what": "Own words",
            "kind": self._any("cue", "set_up", "stroke"),
            "asks": self._any("line", "still"),
        }
        if offers:
            cause, one = self._any(*offers)
            body |= {"what": one["what"][:80], "cause": cause, "proposal": one["code"]}
        self._put(f"/chosen-changes/{self._id()}", lesson_id=self.id, made_at=self._now(), **body)
        if self.rng.random() < 0.6:
            plan = {"minutes": [20] * self._any(2, 3), "weeks": 4, "starts_at": self._now(), "made_at": self._now()}
            self._put(f"/practice-plans/{self._id()}", lesson_id=self.id, **plan)

    def _change(self) -> None:
        self._put(f"/changes/{self._id()}", golfer_id=self.golfer, words="New grip", made_at=self._now())

    def _sensor(self) -> None:
        sensor = self._id()
        told = self._put(f"/sensors/{sensor}", lesson_id=self.id, kind="face_and_path", name="sensor")
        code = next((it["code"] for it in (told or {"sensors": []})["sensors"] if it["id"] == sensor), None)
        if not code or not self.blocks:
            return
        device = {"format": "libella-stroke", "version": 1, "device_id": f"d{sensor[-6:]}"}
        paired = self._said("POST", "/sensor-link/pair", json=device | {"code": code})
        if paired.status_code >= 400:
            return
        head = {"authorization": f"Bearer {paired.json()['token']}"}
        zones = self._zones(self.blocks[-1])
        for nth in range(self._any(2, 7)):
            self._read(self.blocks[-1], 1, [], zones)
            measures = {
                "face_address_deg": self.rng.gauss(0.5, 0.4),
                "face_impact_deg": self.rng.gauss(-0.5, 0.8),
                "path_deg": self.rng.gauss(1, 1),
                "u_deg": 0.2,
            }
            sent = {"kind": "stroke", "stroke_id": f"s{nth}", "at": self.at.isoformat(), "measures": measures}
            self._said("POST", "/sensor-link/messages", json=device | sent, headers=head)
            self.kept.append(f"  stroke {measures}")

    def _round(self) -> None:
        holes = [
            {"first_m": self._any(1.5, 4.0, 9.0), "putts": self._any(1, 2, 3), "side": self._any("", "left", "right")}
            for _ in range(self._any(3, 18))
        ]
        self._put(f"/rounds/{self._id()}", golfer_id=self.golfer, holes=holes, played_at=self._now())

    def _card(self) -> None:
        position = self._any({}, {"inside": 20}, {"chin": 5})
        told = {"position": position, "set_up": self._any("", "chin tucked"), "note": "", "kept_at": self._now()}
        card = self._id()
        if self._put(f"/set-up-cards/{card}", lesson_id=self.id, **told):
            check: dict = {"lead": {"inside_m": 0.01, "behind_m": 0}, "trail": {"inside_m": 0.01, "behind_m": 0.06}}
            looks = [self._any("left", "straight", "right") for _ in range(self._any(0, 3))]
            self._put(
                f"/quick-checks/{self._id()}",
                lesson_id=self.id,
                card_id=card,
                answers=looks,
                taken_at=self._now(),
                **check,
            )

    def _drill(self) -> None:
        run = {"drill": self._any(*drills()), "done": [self._any(0, 1) for _ in range(10)], "done_at": self._now()}
        self._put(f"/drill-runs/{self._id()}", golfer_id=self.golfer, **run)

    def _kit(self) -> None:
        self._put(f"/kits/{self._id()}", golfer_id=self.golfer, putter=self._any("old", "new"), since=self._now())

    # ---- what speaks of it

    def pages(self) -> Iterator[tuple[str, object]]:
        """Every page that speaks of this lesson and its golfer, by name, with what it answered."""
        for name, path, query in self._addresses():
            yield name, self._page(path, **query)
        line = self._page(f"/golfers/{self.golfer}/line")
        keys = [it["key"] for it in line["lines"]]
        pairs = [(a, b) for a, b in itertools.combinations(keys, 2) if a.split("|")[0] == b.split("|")[0]]
        for first, second in pairs[:1]:
            yield "lines beside", self._page(f"/golfers/{self.golfer}/lines-beside", first=first, second=second)
        for claim in list(dict.fromkeys(_claims(self._page(f"/lessons/{self.id}/findings"))))[:5]:
            yield f"opened {claim}", self._page(f"/lessons/{self.id}/explained", claim=claim)

    def _page(self, path: str, **query):
        answer = self._said("GET", path, params=query)
        assert answer.status_code == 200, (self.seed, path, query, answer.status_code, answer.text[:300])
        return answer.content if answer.headers.get("content-type") == "application/pdf" else answer.json()

    def _addresses(self) -> Iterator[tuple[str, str, dict]]:
        lesson, golfer = f"/lessons/{self.id}", f"/golfers/{self.golfer}"
        for page in (
            "findings", "change", "summary", "finding-shown", "wall", "comparisons", "schools", "aim", "eyes", "stand",
            "sights", "first-looks", "map", "sensors", "quick-checks", "pauses", "tools", "question",
        ):  # fmt: skip
            yield page, f"{lesson}/{page}", {}
        if self.seed % 10 == 0:
            # Drawing a paper takes as long as all the other pages together.
            yield "paper", f"{lesson}/golfers-sheet", {}
        yield "run sheet", lesson, {}
        for page in (
            "line", "line-now", "found", "lessons", "schools", "practice-plan", "on-the-course", "expected", "kit",
            "set-up-cards",
        ):  # fmt: skip
            yield f"golfer {page}", f"{golfer}/{page}", {}
        for at in ("lesson", "judged", "sheet"):
            yield f"cautions {at}", "/cautions", {"at": at, "lesson": self.id}
        for page, query in (
            ("today", {}),
            ("due", {}),
            ("logbook", {"golfer_id": self.golfer}),
            ("drills", {"golfer_id": self.golfer}),
            (f"exports/lesson/{self.id}", {"form": "json"}),
        ):
            yield page, f"/{page}", query
        for block in self.blocks[:3]:
            for page in ("judgement", "read", "entry", "further"):
                yield f"block {page}", f"/blocks/{block}/{page}", {}
        if len(self.blocks) > 1:
            one = {"first_block": self.blocks[0], "second_block": self.blocks[1]}
            yield "two blocks", "/compare-sides", {"first": self.id, "second": self.id} | one
        if hasattr(self, "before"):
            yield "two lessons", "/compare-sides", {"first": self.before, "second": self.id}


def _claims(told: object) -> Iterator[str]:
    """The keys by which what a page says is opened."""
    if isinstance(told, dict):
        if isinstance(told.get("why"), str) and told["why"]:
            yield told["why"]
        for it in told.values():
            yield from _claims(it)
    elif isinstance(told, list):
        for it in told:
            yield from _claims(it)


def how_many(usually: int) -> int:
    """Lessons that a run plays: as said, or as `LIBELLA_LESSONS` says for a long one by hand."""
    return int(os.environ.get("LIBELLA_LESSONS", usually))
