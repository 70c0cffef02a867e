"""Saved stations and their file: kept, found, copied, shared, read back, refused."""

import copy
import json

import pytest
import uuid6
from hypothesis import given, settings
from hypothesis import strategies as st

from libella.core.green.read import Read
from libella.core.measure.limits import OutOfLimits
from libella.exchange.station_file import from_document, to_document
from libella.lessons.set.stations import AidEntry, StationEntry

from ...said import refusal

STATION = {
    "distance_m": 3.0, "past_m": 0.3, "green_speed_ft": 10, "rig_kind": "peg_gate",
    "rig_sizes_m": {"distance_m": 0.5, "inside_width_m": 0.06, "post_m": 0.005},
    "falls_forward_percent": -1.0, "falls_right_percent": 0.8,
}  # fmt: skip
FIRST = ("distance_m", "past_m", "green_speed_ft", "falls_forward_percent", "falls_right_percent")
DOCUMENT = to_document("Gate, breaking", StationEntry(capture="free_fall", **STATION))


def save(coach, name="Narrow gate", **more):
    return coach.put(f"/saved-stations/{uuid6.uuid7()}", name=name, **STATION | more)


def test_a_station_is_kept_found_changed_put_away_and_brought_back(coach):
    kept = save(coach)
    save(coach, "Wide gate", rig_sizes_m={"inside_width_m": 0.08})
    assert [it["name"] for it in coach.get("/saved-stations", q="arrow")["items"]] == ["Narrow gate"]
    coach.put(f"/saved-stations/{kept['id']}", name="Renamed", **STATION)
    coach.drop(f"/saved-stations/{kept['id']}")
    assert [it["name"] for it in coach.get("/saved-stations")["items"]] == ["Wide gate"]
    coach.put(f"/saved-stations/{kept['id']}/back")
    assert [it["name"] for it in coach.get("/saved-stations")["items"]] == ["Renamed", "Wide gate"]


def test_two_kept_stations_have_two_names(coach):
    """Of two of one name nobody knows which is laid."""
    first, id = save(coach, "Narrow gate"), str(uuid6.uuid7())
    refused = coach.put(f"/saved-stations/{id}", 409, name="narrow Gate", **STATION)
    assert "“Narrow gate” is kept already" in refused["detail"]
    coach.put(f"/saved-stations/{first['id']}", name="Narrow gate", **STATION)
    coach.drop(f"/saved-stations/{first['id']}")
    coach.put(f"/saved-stations/{id}", name="narrow Gate", **STATION)
    coach.put(f"/saved-stations/{first['id']}/back", 409)
    assert [it["name"] for it in coach.get("/saved-stations")["items"]] == ["narrow Gate"]


def test_many_saved_stations_come_in_pages(coach):
    for n in range(22):
        save(coach, f"Station {n:02}")
    first = coach.get("/saved-stations")
    second = coach.get("/saved-stations", after=first["next"])
    names = [it["name"] for it in first["items"] + second["items"]]
    assert len(set(names)) == 22 and names == sorted(names) and second["next"] is None


def test_a_proof_is_not_kept_with_a_station(coach):
    """It belongs to the line it was made on."""
    assert save(coach)["proof"]["way"] == "none"


def test_a_shared_file_reads_back_as_the_same_station(coach, client):
    kept = save(coach, "Shared")
    answer = client.get(f"/api/saved-stations/{kept['id']}/file")
    assert "attachment" in answer.headers["content-disposition"]
    back = client.post("/api/saved-stations/read", json={"document": answer.json()}).json()
    for name in ("name", "words", *STATION):
        assert back[name] == kept[name]


def test_a_file_with_a_number_of_hundreds_of_digits_is_refused_by_its_field(coach, client):
    document = client.get(f"/api/saved-stations/{save(coach, 'Huge')['id']}/file").json()
    document["putt"]["distance_m"] = 10**401
    answer = client.post(
        "/api/saved-stations/read",
        content=json.dumps({"document": document}),
        headers={"content-type": "application/json"},
    )
    assert answer.status_code == 422 and answer.json()["errors"][0]["field"] == "putt.distance_m"


@settings(max_examples=40)
@given(
    st.text("abc éß漢", min_size=1, max_size=80).filter(str.strip),
    st.floats(1, 10),
    st.floats(4, 16),
    st.floats(0.045, 0.2),
    st.sampled_from(["left", "right"]),
    st.floats(-20, 20),
)
def test_writing_and_reading_a_file_changes_nothing(name, distance, stimp, width, side, lean):
    sizes = {"inside_width_m": width, "distance_m": 0.5, "post_m": 0.005}
    entry = StationEntry(
        distance,
        0.1,
        stimp,
        "rim_assisted",
        "peg_gate",
        sizes,
        read=Read("outside", side, 0.05),
        target="read",
        across_m=0.004,
        backstroke_m=0.3,
        aids=(AidEntry("elevated_string", {"lean_deg": lean, "length_m": 13.0, "behind_m": 0.7}),),
    )
    read = from_document(json.loads(json.dumps(to_document(name, entry))))
    assert read == (name.strip(), entry)


def changed(path: str, value: object) -> dict:
    document = copy.deepcopy(DOCUMENT)
    *way, last = path.split(".")
    at = document
    for it in way:
        at = at[it]
    if value is KeyError:
        del at[last]
    else:
        at[last] = value
    return document


@pytest.mark.parametrize(
    ("path", "value", "field"),
    [
        ("format", "something-else", "format"),
        ("version", 4, "version"),
        ("version", True, "version"),
        ("version", "1", "version"),
        ("name", "", "name"),
        ("name", "bell\u0007", "name"),
        ("name", 7, "name"),
        ("extra", 1, "file"),
        ("putt", KeyError, "file"),
        ("putt", [], "putt"),
        ("putt.distance_m", "3", "putt.distance_m"),
        ("putt.distance_m", True, "putt.distance_m"),
        ("putt.distance_m", -3, "distance_m"),
        ("putt.capture", "magnet", "putt.capture"),
        ("rig.kind", "sundial", "rig_kind"),
        ("rig.kind", "face_mirror", "rig_sizes_m.inside_width_m"),
        ("rig.sizes_m", [1], "rig.sizes_m"),
        ("rig.sizes_m.inside_width_m", 0.01, "rig_sizes_m.inside_width_m"),
        ("rig.sizes_m.depth_m", 0.01, "rig_sizes_m.depth_m"),
        ("rig.across_m", "left", "rig.across_m"),
        ("putt.read", {"place": "edge"}, "putt.read"),
        ("putt.read", {"place": "rim", "side": "left", "outside_m": 0}, "putt.read.place"),
        ("putt.target", "hole", "putt.target"),
        ("putt.target", "read", "read"),
        ("aids", {}, "aids"),
        ("aids", [{"kind": "sundial", "sizes": {}}], "aids.0.kind"),
        ("aids", [{"kind": "elevated_string", "sizes": {"lean_deg": 40}}], "aids.0.lean_deg"),
        ("aids", [{"kind": "plumb"}], "aids.0"),
        ("backstroke_m", 7, "backstroke_m"),
    ],
)
def test_a_file_that_does_not_fit_is_refused_by_name(path, value, field):
    with pytest.raises(OutOfLimits) as refused:
        from_document(changed(path, value))
    assert refused.value.field == field and refusal(refused.value).limit


def in_old_words(putt: dict) -> dict:
    """A putt of versions 1 and 2, which called the green's speed something else."""
    return {"stimp_ft" if key == "green_speed_ft" else key: it for key, it in putt.items()}


def test_a_file_of_the_second_version_is_still_read():
    second = DOCUMENT | {
        "version": 2,
        "putt": in_old_words(DOCUMENT["putt"]),
        "rig": DOCUMENT["rig"] | {"kind": "bridge"},
    }
    second["rig"]["sizes_m"] = {}
    _, entry = from_document(second)
    assert entry.green_speed_ft == DOCUMENT["putt"]["green_speed_ft"] and entry.rig_kind == "bridge_gate"
    with pytest.raises(OutOfLimits) as refused:
        from_document(second | {"putt": 3})
    assert refused.value.field == "putt"
    with pytest.raises(OutOfLimits):
        from_document(second | {"version": 3})


def test_a_file_of_the_first_version_is_still_read():
    first = {
        "format": "libella-station",
        "version": 1,
        "name": "Old gate",
        "putt": in_old_words({it: DOCUMENT["putt"][it] for it in FIRST}) | {"capture": "free_fall"},
        "rig": {"kind": "peg_gate", "sizes_m": {"distance_m": 0.4}},
    }
    name, entry = from_document(first)
    assert name == "Old gate" and entry.rig_sizes_m == {"distance_m": 0.4}
    assert entry.aids == () and entry.read is None and entry.target == "computed"
    with pytest.raises(OutOfLimits):
        from_document(first | {"aids": []})


def test_what_is_no_object_is_refused(client):
    for document in ([], "text", None, 3):
        assert client.post("/api/saved-stations/read", json={"document": document}).status_code == 422
