"""Lessons with every reading given, entered as a coach would: each gives what every page says of it."""

from collections.abc import Sequence

import numpy as np
import uuid6

from libella.core.simulated.golfer import SimulatedEyes
from tests.api.judge.lessons import BY_STRING, Told
from tests.conftest import Coach

Said = dict[str, str]


def lesson_01_square_edge(coach: Coach) -> Said:
    told = Told(coach)
    told.lay()
    series = told.series("face", 10, "square_reference", sizes={"face_length_m": 0.1, "mark_m": 0.001}, aided=True)
    told.set_downs(series, [{"offset_m": mm / 1000} for mm in (3, 3, 2, 3, 3, 3, 3, 4, 3, 4)])
    return told.pages()


STRIPE = ([1.3, 1.2, 1.0, 1.3, 0.4, 2.0, 1.5], [0.8, 0.9, 0.4, 0.5, 1.2, 0.5, 0.6])
BLANK = ([-1.2, -0.9, -1.3, -1.1, -0.9, -1.8, -0.5], [-1.5, -0.7, -4.2, -0.6, -1.7, -1.2, -2.9])


def lesson_02_two_cues(coach: Coach) -> Said:
    told = Told(coach)
    sensor = Sensor(told)
    station = told.lay("no_rig")
    both = told.compare(
        [
            {"name": "stripe", "station_id": station, "factors": {"cue": "stripe"}},
            {"name": "blank", "station_id": station, "factors": {"cue": "blank"}},
        ],
        7, "finish", asks=["finish"],
    )  # fmt: skip
    ends = [["holed"] * 6 + ["right"], ["left"] * 6 + ["holed"]]
    for n in range(7):
        for block, (address, impact), finish in zip(both, (STRIPE, BLANK), ends, strict=True):
            told.putt(block, {"start": "not_watched"}, finish=finish[n])
            sensor.stroke(face_address_deg=address[n], face_impact_deg=impact[n])
    return told.pages(*both)


THREE = {
    1.6: (10, 25, 0, -5, 0, -5, 15, 5),
    2.8: (10, 25, 0, -5, 50, 10, 35, 15),
    4.4: (30, 40, 20, 20, 30, 25, 40, 55),
}


def lesson_03_three_lengths(coach: Coach) -> Said:
    told = Told(coach)
    stations = {length: told.lay(distance_m=length) for length in THREE}
    blocks = told.compare([{"name": f"{it} m", "station_id": stations[it]} for it in THREE], 8)
    for block, offsets in zip(blocks, THREE.values(), strict=True):
        told.ruler(block, offsets)
    return told.pages(*blocks)


def lesson_03b_over_three_lessons(coach: Coach) -> Said:
    told, golfer = None, None
    for n, (length, offsets) in enumerate(THREE.items()):
        told = Told(coach, golfer, days_ago=21 - 7 * n)
        golfer = told.golfer
        told.ruler(told.block(told.lay(distance_m=length), 8, condition="short" if n == 0 else "as usual"), offsets)
    assert told is not None
    return told.pages()


def lesson_04_with_the_aid(coach: Coach) -> Said:
    told = Told(coach)
    station = told.lay()
    blocks = told.compare(
        [
            {"name": "with the aid", "station_id": station, "guided": True},
            {"name": "without it", "station_id": station, "guided": False},
        ],
        9,
    )  # fmt: skip
    told.ruler(blocks[0], (-5, -5, 10, 5, 10, -5, 5, 0, -10))
    told.ruler(blocks[1], (30, -5, 30, 15, 20, 60, 50, 30, 30))
    return told.pages(*blocks)


def lesson_05_line_by_eye(coach: Coach) -> Said:
    told, _ = _by_eye(coach)
    return told.pages(told.blocks[0])


def lesson_05b_then_a_string(coach: Coach) -> Said:
    told, station = _by_eye(coach)
    coach.put(f"/stations/{station}/proof", way="string", measured=[{"at_m": 1.0, "beside_m": -0.019}] * 2)
    return told.pages(told.blocks[0])


def _by_eye(coach: Coach) -> tuple[Told, str]:
    told = Told(coach)
    station = told.lay(proof=None)
    told.angles("mark", (0.9, 1.4, 1.3, 0.9, 0.7, 1.1, 1.1))
    told.angles("to_mark", (0.1, -0.1, 0.2, 0, -0.2, 0.1, 0))
    looks_straight(told, 1.1, 14)
    block = told.block(station, 15)
    told.ruler(block, (30, 10, 10, 25, 20, 30, 30, 10, 15, 20, 10, 20, 15, 20, 20))
    told.blocks = [block]  # type: ignore[attr-defined]
    return told, station


def looks_straight(told: Told, beta: float, answers: int) -> None:
    """A test answered by one whose straight is so far right."""
    eyes, rng, id = SimulatedEyes(beta), np.random.default_rng(5), str(uuid6.uuid7())
    told.coach.put(f"/sight-tests/{id}", lesson_id=told.id, started_at=told.now())
    for _ in range(answers):
        shown = told.coach.get(f"/lessons/{told.id}/sights")
        asked = next(it for it in shown["tests"] if it["test"]["id"] == id)["next"]["true_deg"]
        raw = {"true_deg": asked, "looks": eyes.looks(rng, asked)}
        told.coach.put(f"/sight-trials/{uuid6.uuid7()}", test_id=id, raw=raw, taken_at=told.now())
    told.coach.put(f"/sight-tests/{id}/shown", at=told.now())


def lesson_06_innocent(coach: Coach) -> Said:
    told = Told(coach)
    station = told.lay()
    block = told.block(station, 20, ["finish", "ran_past_m", "strike", "still", "felt"])
    offsets = (-5, 10, 5, 5, 20, 20, 20, 5, 5, 10, 5, -10, 5, 15, -5, -10, 10, -10, -15, 0)
    felt = ["left" if it < -8 else "right" if it > 8 else "straight" for it in offsets]
    notes = []
    for n, (mm, call) in enumerate(zip(offsets, felt, strict=True)):
        missed = {"finish": "past_right", "ran_past_m": 0.4} if mm == 20 else {"finish": "holed"}
        strike = "heel" if n in (1, 8, 15) else "toe" if n in (3, 11, 17) else "middle"
        notes.append(missed | {"strike": strike, "still": "head" if n == 9 else "nothing", "felt": call})
    told.ruler(block, offsets, notes)
    with_rail = told.block(station, 10, guided=True)
    told.ruler(with_rail, (0, 5, -5, 10, 5, -10, 0, 5, -5, 10))
    return told.pages(block, with_rail)


def lesson_07_gate_always_right(coach: Coach) -> Said:
    told = Told(coach)
    station = told.lay("peg_gate", {"distance_m": 0.45, "inside_width_m": 0.06})
    block = told.block(station, 9, ["finish"])
    for _ in range(9):
        told.putt(block, {"crossing": "touched_right"}, finish="past_right")
    return told.pages(block)


def lesson_08_short(coach: Coach) -> Said:
    told = Told(coach)
    station = told.lay("peg_gate", {"distance_m": 0.45, "inside_width_m": 0.055})
    block = told.block(station, 10, ["finish", "ran_past_m"])
    for n, cm in enumerate((40, 55, 90, 60, 45, 70, 50, 65, 80, 60)):
        told.putt(
            block, {"crossing": "clean"}, finish="short_left" if n in (1, 4, 8) else "short", ran_past_m=-cm / 100
        )
    return told.pages(block)


def lesson_09_ground(coach: Coach) -> Said:
    told = Told(coach)
    block = told.block(told.lay(), 8, ["finish", "ran_past_m"])
    past = iter((0.3, 0.4, 0.35, 0.45))
    for n, mm in enumerate((0, 5, -5, 0, 5, 0, -5, 0)):
        notes = {"finish": "holed"} if n % 2 == 0 else {"finish": "past", "ran_past_m": next(past)}
        told.putt(block, {"offset_m": mm / 1000}, **notes)
    return told.pages(block)


def lesson_10_putter_gate(coach: Coach) -> Said:
    told = Told(coach)
    station = told.lay("no_rig", aids=[{"kind": "putter_gate", "sizes": {}}])
    block = told.block(station, 10, ["finish", "aid:putter_gate"])
    for n in range(10):
        notes = {"aid:putter_gate": "far_peg" if n < 7 else "clean", "finish": "left" if n < 7 else "holed"}
        told.putt(block, {"start": "not_watched"}, **notes)
    return told.pages(block)


def lesson_11_path_in_words(coach: Coach) -> Said:
    told = Told(coach)
    block = told.block(told.lay(), 10, ["path"], path_model="straight")
    for n, mm in enumerate((15, 10, 20, 5, 15, 25, 10, 20, 0, 15)):
        told.putt(block, {"offset_m": mm / 1000}, path="neutral" if n in (3, 8) else "in_to_out")
    return told.pages(block)


def lesson_12_eyes(coach: Coach) -> Said:
    told = Told(coach)
    told.lay()
    for set_up, inside in (("chin tucked", 0.012), ("chin tucked", 0.014), ("", -0.024), ("", -0.027)):
        eye = {"lead": {"inside_m": inside, "behind_m": 0.0}, "trail": {"inside_m": inside, "behind_m": 0.065}}
        coach.put(
            f"/eye-takes/{uuid6.uuid7()}", lesson_id=told.id, set_up=set_up, taken_at=told.now(),
            way="mirror", **eye,
        )  # fmt: skip
    for more in ({}, {}, {"lever": "chin", "way": "minus"}, {"lever": "chin", "way": "minus"}):
        looks = "straight" if more else "left"
        coach.put(f"/first-looks/{uuid6.uuid7()}", lesson_id=told.id, looks=looks, taken_at=told.now(), **more)
    card = coach.put(f"/set-up-cards/{uuid6.uuid7()}", lesson_id=told.id, set_up="chin tucked", kept_at=told.now())
    said = told.pages()
    said["card"] = " | ".join([card["change"], *(f"{it['name']}: {it['size']}" for it in card["rows"])])
    said["eyes"] = " | ".join(
        one
        for it in coach.get(f"/lessons/{told.id}/eyes")["set_ups"]
        for one in (it["name"], *it["words"], it["moved"])
    )
    return said


def lesson_13_read(coach: Coach) -> Said:
    told = Told(coach)
    station = told.lay(
        distance_m=3.0, falls_right_percent=-2.0, target="read", across_m=-0.021,
        read={"place": "inside_edge", "side": "right"},
    )  # fmt: skip
    block = told.block(station, 10, ["finish"])
    for mm in (5, -5, 0, 5, 10, -5, 0, 5, -10, 0):
        told.putt(block, {"offset_m": mm / 1000}, finish="left")
    return told.pages(block)


def lesson_14_left_handed(coach: Coach) -> Said:
    told = Told(coach, hand="left")
    station = told.lay()
    series = told.series("face", 10, "in_words")
    told.set_downs(series, [{"face": "left"}] * 8 + [{"face": "square"}] * 2)
    block = told.block(station, 10)
    told.ruler(block, (-15, -20, -10, -25, -15, -5, -20, -10, -20, -15))
    return told.pages(block)


class Sensor:
    """A face-and-path sensor, paired and zeroed."""

    def __init__(self, told: Told) -> None:
        self.told, self.n = told, 0
        id = str(uuid6.uuid7())
        sheet = told.coach.put(f"/sensors/{id}", lesson_id=told.id, kind="face_and_path")
        code = next(it for it in sheet["sensors"] if it["id"] == id)["code"]
        head = {"format": "libella-stroke", "version": 1, "device_id": "d1"}
        answer = told.coach.client.post("/api/sensor-link/pair", json=head | {"code": code})
        assert answer.status_code == 200, answer.text
        self.head, self.auth = head, {"authorization": f"Bearer {answer.json()['token']}"}
        # All at once: only those of the last seconds count, however slow the machine.
        still = ({"face_deg": it} for it in (0.0, 0.1, -0.1, 0.05, -0.05))
        held = [
            {"kind": "still", "measures": it, "stroke_id": f"still{n}", "at": told.now()} for n, it in enumerate(still)
        ]
        self._tell(*held)
        told.coach.put(f"/sensor-zeros/{uuid6.uuid7()}", sensor_id=id)

    def stroke(self, **measures: float) -> None:
        self.n += 1
        at = self.told.at.isoformat()
        self._tell({"kind": "stroke", "stroke_id": f"s{self.n}", "measures": measures | {"u_deg": 0.1}, "at": at})

    def _tell(self, *messages: dict) -> None:
        told = [self.head | it for it in messages]
        answer = self.told.coach.client.post("/api/sensor-link/messages", json=told, headers=self.auth)
        assert answer.status_code == 200 and "refused" not in answer.text, answer.text


__all__ = ["BY_STRING"]


def lesson_15_laser_at_two_lengths(coach: Coach) -> Said:
    told = Told(coach)
    coach.put(f"/lessons/{told.id}/laser-cautions")
    near = told.lay("ground_laser", {"distance_m": 0.7, "line_m": 2.0}, distance_m=2.0)
    first = told.block(near, 8, guided=True)
    for at in ("centre",) * 6 + ("left_quarter", "right_quarter"):
        told.putt(first, {"line_on": at})
    far = told.lay("ground_laser", {"distance_m": 0.7, "line_m": 5.0}, distance_m=5.0)
    second = told.block(far, 8, ["finish"], guided=True)
    for at in ("left_quarter",) * 3 + ("left_edge",) * 5:
        told.putt(second, {"line_on": at}, finish="right")
    return told.pages(first, second)


def lesson_17_two_ball_gate(coach: Coach) -> Said:
    told = Told(coach)
    station = told.lay("ball_gate", {"distance_m": 0.7, "inside_width_m": 0.06})
    block = told.block(station, 10, guided=True, hole=False)
    for n in range(10):
        told.putt(block, {"crossing": "clean" if n in (2, 5, 8) else "touched_right"})
    return told.pages(block)


def lesson_18_heel_and_wobble(coach: Coach) -> Said:
    told = Told(coach)
    block = told.block(told.lay(), 10, ["strike", "roll", "finish"])
    notes = [
        {
            "strike": "middle" if n < 5 else "heel",
            "roll": "wobble_left" if n in (5, 6, 8, 9) else "clean",
            "finish": "holed" if n < 5 else "left",
        }
        for n in range(10)
    ]
    told.ruler(block, (-5, 0, -5, 5, 0, -20, -25, -15, -20, -25), notes)
    return told.pages(block)


def lesson_16_looks_from_places(coach: Coach) -> Said:
    told = Told(coach)
    told.lay()
    coach.put(f"/lessons/{told.id}/complaint", misses=[], felt="sight", wants=None)
    for name, inside in (("", -0.024), ("", -0.024), ("further in", 0.0), ("further in", 0.0)):
        eye = {"lead": {"inside_m": inside, "behind_m": 0.0}, "trail": {"inside_m": inside, "behind_m": 0.065}}
        coach.put(
            f"/eye-takes/{uuid6.uuid7()}", lesson_id=told.id, set_up=name, taken_at=told.now(), way="mirror", **eye
        )
    looks(told, ["right"] * 5 + ["straight"])
    looks(told, ["straight"] * 5, lever="inside", way="plus", playable=True)
    looks(told, ["straight"] * 2, lever="chin", way="minus", playable=False)
    return told.whole()


def looks(told: Told, looked: Sequence[str], **place: object) -> None:
    """First looks from one place."""
    for it in looked:
        told.coach.put(f"/first-looks/{uuid6.uuid7()}", lesson_id=told.id, looks=it, taken_at=told.now(), **place)


def lesson_20_string_that_misleads(coach: Coach) -> Said:
    told = inside_a_string(coach)
    upright, leaned = (strung(told, it) for it in (0.0, 2.7))
    first = in_words(told, upright, ["out_to_in"] * 7 + ["neutral"])
    second = in_words(told, leaned, ["neutral"] * 7 + ["out_to_in"])
    return told.whole(first, second)


def inside_a_string(coach: Coach) -> Told:
    """A lesson of a golfer who sees a string's lower quarter covered from inside."""
    told = Told(coach)
    for _ in range(3):
        look = {"way": "string", "covers": "quarter", "side": "outside", "string_height_m": 0.22, "lean_deg": 0.0}
        coach.put(
            f"/eye-looks/{uuid6.uuid7()}", lesson_id=told.id, eye_height_m=1.55, taken_at=told.now(), **look
        )  # fmt: skip
    return told


def strung(told: Told, lean_deg: float) -> str:
    """A station under a string whose posts lean so far."""
    sizes = {"string_height_m": 0.22, "behind_m": 0.7, "length_m": 3.6, "lean_deg": lean_deg, "eye_height_m": 1.55}
    return told.lay("no_rig", aids=[{"kind": "elevated_string", "sizes": sizes}], proof=None)


def in_words(told: Told, station: str, paths: Sequence[str]) -> str:
    """A block of paths told in words."""
    block = told.block(station, len(paths), ["path"])
    for it in paths:
        told.putt(block, {"start": "not_watched"}, path=it)
    return block


def lesson_19_starts_alone(coach: Coach) -> Said:
    told = Told(coach)
    block = told.block(told.lay(), 10)
    told.ruler(block, (25, 30, 20, 35, 25, 30, 20, 25, 30, 25))
    return told.whole(block)
