"""Everything out and in again: the same on an empty installation, merged by ids, refused whole where it is unsound."""

import copy
import csv
import hashlib
import io
import json
import random
import struct
import time
import zipfile
import zlib
from pathlib import Path
from urllib.parse import quote

import jsonschema_rs
import pytest
import uuid6
from fastapi.testclient import TestClient
from sqlalchemy import text

from libella.api.app import create_app
from libella.exchange.archive import form, work
from libella.exchange.spreadsheet import from_spreadsheet
from libella.lessons.desk.desk import open_desk
from libella.lessons.keep import archive_work
from libella.store.server.database import connect
from libella.store.tables import Stored
from libella.store.whole.kinds import FILES, LEFT_OUT, SECRETS, kinds

from ...conftest import Coach, demo_database, migrated_database
from .whole_studio import fill

BUSY = ("making", "checking", "taking")


class Installation:
    """A Libella of its own, and one who uses it."""

    def __init__(self, cluster):
        self.engine = connect(migrated_database(cluster))
        self.client = TestClient(create_app(self.engine), base_url="http://127.0.0.1", raise_server_exceptions=False)

    def __enter__(self):
        self.client.__enter__()
        self.coach = Coach(self.client)
        return self

    def __exit__(self, *why):
        self.client.__exit__(*why)
        self.engine.dispose()

    def rows(self, *, everywhere=False) -> dict[str, list[str]]:
        """Every row of every table, as text, without what belongs to the installation."""
        tables = [it for it in Stored.metadata.sorted_tables if everywhere or it.name not in LEFT_OUT]
        with self.engine.connect() as connection:
            return {it.name: self._rows(connection, it) for it in tables if it.name != "kept_answer"}

    @staticmethod
    def _rows(connection, table):
        own = [it for it in table.columns if it.name != "studio_id" and (table.name, it.name) not in SECRETS]
        if table.name == "studio":
            own = [it for it in own if it.name != "id"]
        columns = ", ".join(f'"{it.name}"' for it in own)
        found = connection.execute(text(f"select row(it)::text from (select {columns} from {table.name}) it"))
        return sorted(found.scalars())

    def out(self, golfer=None) -> bytes:
        id = str(uuid6.uuid7())
        self.coach.put(f"/archives/{id}/out", golfer_id=golfer)
        it = self.wait(id)
        assert it["phase"] == "made", it
        answer = self.client.get(f"/api/archives/{id}/file")
        assert answer.headers["content-length"] == str(len(answer.content))
        assert quote(it["name"]) in answer.headers["content-disposition"]
        return answer.content

    def give(self, content: bytes):
        id = str(uuid6.uuid7())
        for number, at in enumerate(range(0, max(len(content), 1), archive_work.LARGEST_PART)):
            piece = content[at : at + archive_work.LARGEST_PART]
            answer = self.client.put(f"/api/archives/{id}/parts/{number}", params={"name": "a.zip"}, content=piece)
            assert answer.status_code == 200, answer.text
        self.coach.put(f"/archives/{id}/look")
        return self.wait(id)

    def take(self, content: bytes):
        it = self.give(content)
        if it["refused"]:
            return it
        self.coach.put(f"/archives/{it['id']}/rows")
        return self.wait(it["id"])

    def wait(self, id):
        until = time.monotonic() + 60
        while (it := self.coach.get(f"/archives/{id}"))["phase"] in BUSY:
            assert time.monotonic() < until, it
            time.sleep(0.02)
        return it


@pytest.fixture(scope="module")
def full(cluster):
    with Installation(cluster) as it:
        it.ids = fill(it.coach)
        it.whole = it.out()
        it.golfers = it.out(it.ids["first"])
        yield it


@pytest.fixture
def empty(cluster):
    with Installation(cluster) as it:
        yield it


def test_every_table_is_in_it_and_every_column_has_words(full):
    tables = {it.name for it in Stored.metadata.sorted_tables}
    assert tables == {it.name for it in kinds()} | set(LEFT_OUT), (
        "a new table: in every archive, or named with its reason"
    )
    assert all(what for *_, what in form.dictionary())
    # And the studio these tests read has a row in each: what holds nothing would come back for nothing.
    assert [name for name, rows in full.rows().items() if not rows] == []
    binary = {(it.name, column.name) for it in kinds() for column in it.columns if column.kind is bytes}
    assert binary == set(FILES)


def test_the_whole_studio_comes_back_row_by_row_on_an_empty_installation(full, empty):
    empty.coach.get("/golfers")
    taken = empty.take(full.whole)
    assert taken["phase"] == "taken" and taken["damages"] == [], taken
    assert "2 golfers" in taken["says"][0] and "1 photograph" in taken["says"][0]
    before, after = full.rows(), empty.rows()
    for name, rows in before.items():
        assert after[name] == rows, name
    golfer = full.ids["first"]
    for page in (f"/golfers/{golfer}/line", f"/golfers/{golfer}/practice-plan", f"/golfers/{golfer}/on-the-course"):
        assert empty.coach.get(page) == full.coach.get(page)
    # Again it brings nothing, and changes nothing.
    again = empty.take(full.whole)
    assert again["says"][0] == "Nothing in it is new here." and empty.rows() == after


def test_a_golfers_archive_holds_that_golfer_alone_and_can_be_read_by_others(full, empty):
    with zipfile.ZipFile(io.BytesIO(full.golfers)) as archive:
        names = archive.namelist()
        told = json.loads(archive.read("manifest.json"))
        rows = json.loads(archive.read("data/golfer-0001.json"))
        table = list(csv.DictReader(io.StringIO(archive.read("tables/golfer.csv").decode())))
        assert "Bo Other" not in "".join(archive.read(it).decode(errors="replace") for it in names if it[:5] != "photo")
        assert {it["name"] for it in told["files"]} == set(names) - {"manifest.json"}
        known = {
            (one["table"], one["column"]) for one in csv.DictReader(io.StringIO(archive.read(form.DICTIONARY).decode()))
        }
        for name in (it for it in names if it.startswith("tables/") and it != form.DICTIONARY):
            heads = next(csv.reader(io.StringIO(archive.read(name).decode())))
            assert {(name[7:-4], it) for it in heads} <= known
    assert [it["id"] for it in rows] == [full.ids["first"]] == [it["id"] for it in table]
    # Words that a spreadsheet would take for a formula are no formula.
    assert table[0]["notes"].startswith("'=") and from_spreadsheet(table[0]["notes"]) == rows[0]["notes"]
    assert any(it.startswith("sheets/") for it in names) and any(it.startswith("drawings/") for it in names)
    assert empty.take(full.golfers)["phase"] == "taken"
    assert [it["golfer"]["id"] for it in empty.coach.get("/golfers")["items"]] == [full.ids["first"]]
    lessons = empty.coach.get(f"/golfers/{full.ids['first']}/lessons")["items"]
    sensors = [empty.coach.get(f"/lessons/{it['lesson']['id']}/sensors")["sensors"] for it in lessons]
    assert sum(map(len, sensors)) == 1


def test_what_stands_here_and_says_something_else_stays_and_is_told(full, empty):
    assert empty.take(full.golfers)["phase"] == "taken"
    golfer = empty.coach.get(f"/golfers/{full.ids['first']}")
    entry = {it: golfer[it] for it in ("hand", "level")} | {"name": "Åse by another name"}
    empty.coach.put(f"/golfers/{full.ids['first']}", **entry)
    taken = empty.take(full.golfers)
    assert any("1 of its rows stand here and say something else" in it for it in taken["says"]), taken
    assert empty.coach.get(f"/golfers/{full.ids['first']}")["name"] == "Åse by another name"


def test_the_schema_is_published_and_every_file_keeps_to_it(full):
    published = json.loads(Path("docs/formats/archive.schema.json").read_text())
    assert published == form.schema(), "python -m libella.exchange.archive > docs/formats/archive.schema.json"
    with zipfile.ZipFile(io.BytesIO(full.whole)) as archive:
        jsonschema_rs.validate(published, json.loads(archive.read("manifest.json")))
        for name in (it for it in archive.namelist() if it.startswith("data/")):
            table = {"$ref": f"#/$defs/{name[5:].rpartition('-')[0]}", "$defs": published["$defs"]}
            jsonschema_rs.validate(table, json.loads(archive.read(name)))


def test_it_can_be_stopped_and_nothing_of_it_is_kept(full, empty, monkeypatch):
    empty.coach.get("/golfers")
    before = empty.rows(everywhere=True)
    at = archive_work.at

    def stopped(desk, id, done, total):
        archive_work.ask_stop(desk, id)
        at(desk, id, done, total)

    given = empty.give(full.whole)
    monkeypatch.setattr(archive_work, "at", stopped)
    empty.coach.put(f"/archives/{given['id']}/rows")
    assert empty.wait(given["id"])["phase"] == "stopped"
    after = empty.rows(everywhere=True)
    assert {k: v for k, v in after.items() if not k.startswith("archive")} == {
        k: v for k, v in before.items() if not k.startswith("archive")
    }
    monkeypatch.setattr(archive_work, "at", at)
    empty.coach.put(f"/archives/{given['id']}/rows")
    assert empty.wait(given["id"])["phase"] == "taken"


class Parts:
    """An archive taken apart, to be put together otherwise."""

    def __init__(self, content: bytes):
        with zipfile.ZipFile(io.BytesIO(content)) as it:
            self.files = {name: it.read(name) for name in it.namelist()}
        self.manifest = json.loads(self.files.pop("manifest.json"))

    def rows(self, table):
        return json.loads(self.files[f"data/{table}-0001.json"])

    def put(self, table, rows):
        self.files[f"data/{table}-0001.json"] = json.dumps(rows).encode()
        told = next(it for it in self.manifest["tables"] if it["name"] == table)
        told["rows"] = len(rows)

    def packed(self, *, told=True, **manifest) -> bytes:
        """The archive; `told`: its manifest tells the files as they are now."""
        if told:
            self.manifest["files"] = [
                {"name": name, "bytes": len(it), "sha256": hashlib.sha256(it).hexdigest()}
                for name, it in self.files.items()
            ]
        out = io.BytesIO()
        with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as it:
            for name, content in self.files.items():
                it.writestr(zipfile.ZipInfo(name), content, zipfile.ZIP_DEFLATED)
            it.writestr("manifest.json", json.dumps(self.manifest | manifest))
        return out.getvalue()


def changed(table, **values):
    """The first row of a table says something else."""

    def hostile(it: Parts) -> bytes:
        rows = it.rows(table)
        rows[0] |= values
        it.put(table, rows)
        return it.packed()

    return hostile


def named(name, content=b"x"):
    def hostile(it: Parts) -> bytes:
        it.files[name] = content
        return it.packed()

    return hostile


def without(name):
    def hostile(it: Parts) -> bytes:
        del it.files[name]
        return it.packed(told=False)

    return hostile


def bitten(name):
    """Some bytes of a file are others than when it was packed."""

    def hostile(it: Parts) -> bytes:
        it.files[name] = it.files[name][:-3] + b"zzz"
        return it.packed(told=False)

    return hostile


def bytes_changed(at, to=b"\x00\xff\x13\x37"):
    """The packed file damaged at a share of its length."""

    def hostile(it: Parts) -> bytes:
        # Of what rows stand in alone: all else may be damaged, and is told.
        it.files = {
            name: content for name, content in it.files.items() if name.startswith(("data/", "photo", "given/"))
        }
        whole = it.packed()
        here = int(len(whole) * at)
        return whole[:here] + to + whole[here + len(to) :]

    return hostile


def said(**manifest):
    return lambda it: it.packed(**manifest)


def twice(it: Parts) -> bytes:
    out = io.BytesIO(it.packed())
    with pytest.warns(UserWarning), zipfile.ZipFile(out, "a") as archive:
        archive.writestr("README.txt", "twice")
    return out.getvalue()


def overlapping(it: Parts) -> bytes:
    """Many names for one big run of bytes."""
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w", zipfile.ZIP_DEFLATED) as archive:
        for n in range(1, 400):
            archive.writestr(f"data/reading-{n:04}.json", b" " * 1_040_000)
        archive.writestr("manifest.json", json.dumps(it.manifest))
    return out.getvalue()


def locked(it: Parts) -> bytes:
    whole = bytearray(it.packed())
    at = whole.index(b"PK\x01\x02")
    whole[at + 8 : at + 10] = struct.pack("<H", 1)
    return bytes(whole)


def rowed(table, change):
    def hostile(it: Parts) -> bytes:
        rows = it.rows(table)
        it.put(table, change(copy.deepcopy(rows)))
        return it.packed()

    return hostile


def deep(_):
    return json.loads("[" * 20 + "]" * 20)


BOMB = b"[" + b" " * 30_000_000 + b"]"
ZERO = "00000000-0000-7000-8000-000000000001"
HOSTILE = {
    "empty": lambda it: b"",
    "no zip": lambda it: b"just words " * 90,
    "a picture": lambda it: b"\xff\xd8\xff" + b"0" * 900,
    "cut off": lambda it: it.packed()[:-900],
    "half": lambda it: it.packed()[: len(it.packed()) // 2],
    "the end alone": lambda it: it.packed()[-900:],
    "zip of nothing": lambda it: zipped({}),
    "other zip": lambda it: zipped({"README.txt": b"hello"}),
    "manifest is no json": lambda it: zipped({"manifest.json": b"{"}),
    "manifest is a list": lambda it: zipped({"manifest.json": b"[]"}),
    "manifest nested": lambda it: zipped({"manifest.json": b"[" * 100_000}),
    "manifest of another": said(format="something"),
    "newer": said(version=2),
    "much newer": said(version=99),
    "version in words": said(version="1"),
    "version below": said(version=0),
    "scope unknown": said(scope="world"),
    "more said": said(extra=1),
    "made never": said(made_at="yesterday"),
    "tables are none": said(tables={}),
    "invented in words": said(invented="no"),
    "traversal": named("../../etc/passwd"),
    "traversal within": named("data/../../x.json"),
    "absolute": named("/etc/passwd"),
    "drive": named("C:\\x.json"),
    "backslash": named("data\\reading-0002.json"),
    "script in a name": named("sheets/<script>alert(1)</script>.pdf"),
    "script in a table's name": named("data/<script>-0001.json"),
    "control in a name": named("data/golfer\x01-0001.json"),
    "new line in a name": named("data/golfer-0001.json\n"),
    "zero in a name": named("data/golfer-0002.json\x00.txt"),
    "no such table": named("data/secrets-0001.json", b"[]"),
    "left out": named("data/kept_answer-0001.json", b"[]"),
    "program": named("sheets/run.exe"),
    "archive within": named("given/inner.zip"),
    "file twice": twice,
    "bomb": named("data/reading-0002.json", BOMB),
    "rows larger than memory": named("data/reading-0002.json", random.Random(3).randbytes(8192) * 4200),
    "bomb of many": overlapping,
    "locked": locked,
    "rows missing": rowed("reading", lambda rows: [*rows[:-1], rows[0]]),
    "fewer rows than told": lambda it: miscounted(it),
    "row twice": rowed("golfer", lambda rows: [*rows, rows[0]]),
    "not a list": rowed("lesson", lambda rows: {"rows": 1} and [{"rows": rows}]),
    "row is a word": rowed("lesson", lambda rows: ["row"]),
    "row is nothing": rowed("lesson", lambda rows: [None]),
    "row nested": rowed("lesson", deep),
    "unknown column": changed("golfer", password="x"),
    "hand is none": changed("golfer", hand="both"),
    "level is a number": changed("golfer", level=3),
    "name is a number": changed("golfer", name=3),
    "name is missing": changed("golfer", name=None),
    "script as a name": changed("golfer", name="<script>alert(1)</script>"),
    "control in words": changed("golfer", notes="a\u0000b"),
    "name without end": changed("golfer", name="x" * 30_000),
    "id is none": changed("lesson", id="1; drop table golfer"),
    "id empty": changed("lesson", id=""),
    "of nobody": changed("lesson", golfer_id=ZERO),
    "block of no lesson": changed("block", lesson_id=ZERO),
    "reading of no block": changed("reading", block_id=ZERO),
    "mark of no reading": changed("reading_mark", reading_id=ZERO),
    "time is none": changed("reading", taken_at="noon"),
    "time without zone": changed("reading", taken_at="2026-01-01T10:00:00"),
    "time out of time": changed("reading", taken_at="9999-12-31T23:59:59Z"),
    "number is a word": changed("block", distance_m="far"),
    "number is true": changed("block", distance_m=True),
    "distance is nothing": changed("block", distance_m=None),
    "distance below nothing": changed("block", distance_m=-2.5),
    "distance beyond": changed("block", distance_m=1e300),
    "speed of a stone": changed("block", green_speed_ft=-1),
    "count beyond": changed("block", planned=10**12),
    "rig unknown": changed("block", rig_kind="death_ray"),
    "sizes are words": changed("block", rig_sizes_m={"distance_m": "x"}),
    "sizes are none": changed("block", rig_sizes_m={"nonsense": 1}),
    "sizes are a list": changed("block", rig_sizes_m=[1]),
    "aids are none": changed("block", aids=[{"kind": "ghost"}]),
    "proof is none": changed("station", proof={"way": "by magic"}),
    "capture unknown": changed("station", capture="magnet"),
    "reading of another rig": changed("reading", raw={"crossing": "clean"}),
    "reading without words": changed("reading", raw={}),
    "nested too deep": changed("reading", raw={"offset_m": json.loads("[" * 40 + "]" * 40)}),
    "chosen is none": changed("noted_change", chosen={"what": 3}, kit=None),
    "plan is none": changed("practice_plan", made={"sessions": "soon"}),
    "plan for nobody": changed("practice_plan", given={}),
    "drill is none": changed("drill", told={"name": "x"}),
    "card says nothing": changed("set_up_card", raw={"sees": 1}),
    "hole without putts": changed("golf_round", holes=[{"putts": -1}]),
    "look is none": changed("eye_take", raw={"way": "crystal"}),
    "first look is none": changed("first_look", raw={"looks": 5}),
    "bands are none": changed("band_version", bands={"club": []}),
    "mapping is none": changed("column_map", mapping={"columns": 4}),
    "photograph is a script": lambda it: swapped(it, "photographs/", b"<svg onload=alert(1)>"),
    "photograph missing": lambda it: missing(it, "photographs/"),
    "photograph elsewhere": changed("set_up_photo", picture="../../etc/passwd"),
    "file of putts is a bomb": lambda it: swapped(it, "given/", zlib_bomb()),
    "file of putts is none": lambda it: swapped(it, "given/", b"plain words"),
    "file of putts missing": lambda it: missing(it, "given/"),
    "lessons gone": without("data/lesson-0001.json"),
    "golfers gone": without("data/golfer-0001.json"),
    "lessons bitten": bitten("data/lesson-0001.json"),
    "readings bitten": bitten("data/reading-0001.json"),
    **{f"bytes at {n}": bytes_changed(n / 12, b"\xde\xad\xbe\xef" * 40) for n in range(1, 12)},
}


def zipped(files):
    out = io.BytesIO()
    with zipfile.ZipFile(out, "w") as it:
        for name, content in files.items():
            it.writestr(name, content)
    return out.getvalue()


def miscounted(it):
    next(one for one in it.manifest["tables"] if one["name"] == "reading")["rows"] += 1
    return it.packed()


def swapped(it, folder, content):
    name = next(one for one in it.files if one.startswith(folder))
    it.files[name] = content
    return it.packed()


def missing(it, folder):
    del it.files[next(one for one in it.files if one.startswith(folder))]
    return it.packed()


def zlib_bomb():
    packer = zlib.compressobj(9, zlib.DEFLATED, 31)
    return packer.compress(b"\x00" * 80_000_000) + packer.flush()


def of_another(it):
    rows = it.rows("lesson")
    golfers = [one["id"] for one in it.rows("golfer")]
    rows[0]["golfer_id"] = next(one for one in golfers if one != rows[0]["golfer_id"])
    it.put("lesson", rows)
    return it.packed()


def complaint(it):
    rows = it.rows("lesson")
    next(one for one in rows if one["complaint"])["complaint"] = {"misses": ["sideways"]}
    it.put("lesson", rows)
    return it.packed()


def with_a_place(it):
    from PIL import Image

    out, exif = io.BytesIO(), Image.Exif()
    exif[0x010F] = "Some camera"
    Image.new("RGB", (40, 30)).save(out, "JPEG", exif=exif)
    return swapped(it, "photographs/", out.getvalue())


HOSTILE |= {"complaint is none": complaint, "photograph with a place": with_a_place}


@pytest.fixture(scope="module")
def beside(cluster, full):
    """An installation with somebody in it, which is to stay as it is."""
    with Installation(cluster) as it:
        anew(it)
        yield it


def anew(it):
    """Nothing but one golfer, whatever was in it."""
    with it.engine.begin() as connection:
        connection.execute(text("truncate studio cascade"))
    it.client.app.state.desk.forget()
    it.coach.golfer("Stays Here")
    it.before = quiet(it)


def quiet(it):
    return {k: v for k, v in it.rows(everywhere=True).items() if not k.startswith("archive")}


def test_a_hundred_archives_that_are_not_sound_are_refused_with_the_reason_and_nothing_is_changed(full, beside):
    assert len(HOSTILE) >= 100
    passed = []
    for name, hostile in HOSTILE.items():
        content = hostile(Parts(full.whole))
        told = beside.take(content)
        if not told["refused"] or told["phase"] != "checked":
            passed.append((name, told["phase"], told["says"][:1], told["damages"][:2]))
        if quiet(beside) != beside.before:
            passed.append((name, "something of it was kept"))
            anew(beside)
    assert [it[:2] for it in passed] == [], "\n".join(map(str, passed))


def test_what_is_told_twice_or_begun_again_after_a_crash_is_done_once(full, empty):
    made = str(uuid6.uuid7())
    for _ in range(2):
        full.coach.put(f"/archives/{made}/out", golfer_id=full.ids["first"])
        full.wait(made)
    # A process that was killed between the last piece and saying so begins again.
    desk = full.client.app.state.desk()
    archive_work.end(desk, made, "making")
    work.make_archive(desk, made, lambda golfer: [])
    assert full.coach.get(f"/archives/{made}")["phase"] == "made"
    again = full.client.get(f"/api/archives/{made}/file").content
    taken = empty.take(again)
    for _ in range(2):
        empty.coach.put(f"/archives/{taken['id']}/rows")
        time.sleep(0.5)
    assert empty.wait(taken["id"]) == taken and taken["phase"] == "taken"


def test_an_archive_that_is_not_on_its_way_is_not_found(full):
    nowhere = str(uuid6.uuid7())
    for path in (f"/archives/{nowhere}", f"/archives/{nowhere}/file"):
        assert full.coach.get(path, 404)["detail"]
    for what in ("look", "rows"):
        full.coach.put(f"/archives/{nowhere}/{what}", 404)


def test_rows_that_belong_to_somebody_else_here_are_refused(full, empty):
    assert empty.take(full.whole)["phase"] == "taken"
    before = quiet(empty)
    told = empty.take(of_another(Parts(full.whole)))
    assert "belong to somebody else" in told["refused"], told
    assert quiet(empty) == before


def test_a_studio_whose_own_settings_can_not_be_read_is_refused(full, empty):
    empty.coach.get("/golfers")
    before = quiet(empty)
    assert "the studio itself" in empty.take(changed("studio", bag={"ball": "many"})(Parts(full.whole)))["refused"]
    assert quiet(empty) == before


def test_what_is_made_of_the_rows_may_be_damaged_and_is_told_file_by_file(full, empty):
    it = Parts(full.golfers)
    sheet = next(name for name in it.files if name.startswith("sheets/"))
    it.files[sheet] = b"torn"
    del it.files["tables/golfer.csv"]
    told = empty.take(it.packed(told=False))
    assert told["phase"] == "taken"
    assert sorted(one.split(":")[0] for one in told["damages"]) == sorted([sheet, "tables/golfer.csv"])
    assert all("it is not needed, the rows are whole" in one for one in told["damages"])


def test_an_archive_of_invented_data_says_so_everywhere(cluster):
    demo = connect(demo_database(cluster))
    desk = open_desk(demo)
    id = uuid6.uuid7()
    archive_work.begin_out(desk, id, None, "x")
    work.make_archive(desk, id, lambda golfer: [])
    content = b"".join(archive_work.pieces(desk, id))
    with zipfile.ZipFile(io.BytesIO(content)) as archive:
        assert json.loads(archive.read("manifest.json"))["invented"]
        assert b"INVENTED DEMO" in archive.read("README.txt")
    with Installation(cluster) as other:
        other.coach.get("/golfers")
        told = other.give(content)
        assert told["invented"] and "nobody in it is real" in told["says"][0]
