"""Every route and socket, asked by every role and by nobody, with ids of this studio, of another, and of nothing."""

import hashlib
import json
import re
from dataclasses import dataclass
from datetime import UTC, datetime
from itertools import pairwise
from typing import Any

import pytest
import uuid6
from fastapi import FastAPI
from fastapi.testclient import TestClient
from sqlalchemy import Engine, select, text
from sqlalchemy.exc import ProgrammingError
from sqlalchemy.orm import Session
from starlette.websockets import WebSocketDisconnect

from libella.api.app import Reach, create_app
from libella.api.base.opinions import _TABLES
from libella.api.people.roles import _ACTS, ANY_ACCOUNT, ANYBODY, BY_OWN_KEY, PROVED, act_of, is_open, may
from libella.core.people.role import MAY
from libella.lessons.desk import desk as doors
from libella.lessons.desk.desk import Desk, open_desk
from libella.lessons.desk.problem import NotFound
from libella.store.server.database import connect
from libella.store.tables import AccountRow, PasskeyRow, Stored, StudioRow

from ...conftest import Coach, migrated_database
from ..keep.whole_studio import fill
from .authenticator import Authenticator
from .conftest import Floor, Somebody
from .test_passkeys import make

ROLES = tuple(MAY)
_SOCKETS = ("WS /api/live/lessons/{id}", "WS /api/sensor-link/stream")
_OWN_TABLES = _TABLES | {
    "set-up-cards": "set_up_card", "aim-series": "aim_set", "archives": "archive_work", "accounts": "account",
    "sign-ins": "sign_in", "opinions": "opinion_version", "link-bands": "band_version", "aim-turns": "aim_set",
    "sensor-zeros": "sensor_zero", "practice-plans": "practice_plan", "quick-checks": "quick_check",
    "live": "lesson",
}  # fmt: skip
_COMES_AND_GOES = ("sign_in", "sign_in_try", "passkey_question", "kept_answer", "deed", "archive_work", "archive_part")
"""What signing in, answering, and asking for one's own archive write, whoever asks and whatever for."""


def requests_of(application: FastAPI) -> dict[str, dict[str, Any]]:
    """Every request there is, with how it is described; sockets with nothing."""
    described = application.openapi()
    told = {
        f"{method.upper()} {path}": about | {"schemas": described["components"]["schemas"]}
        for path, methods in described["paths"].items()
        for method, about in methods.items()
    }
    return told | {it: {} for it in _SOCKETS}


@dataclass
class Studios:
    """Two studios in one database, both full: the first is the one that is served."""

    floor: Floor
    engine: Engine
    requests: dict[str, dict[str, Any]]
    people: dict[str, Somebody]
    ids: dict[str, dict[str, str]]
    other: str

    def id_of(self, kind: str, table: str) -> str:
        """Of a row of that table: of this studio, of the other, or of nothing.

        Another studio's id may be used for something new here, as any other: so one of nothing stays the same, too.
        """
        return self.ids[kind].setdefault(table, str(uuid6.uuid7()))

    def rows(self, studio_id: str | None = None) -> str:
        """A mark of everything that is kept, of one studio or of all."""
        marks = hashlib.sha256()
        with self.engine.connect() as connection:
            for table in Stored.metadata.sorted_tables:
                if table.name not in _COMES_AND_GOES:
                    of = "id" if table.name == "studio" else "studio_id"
                    where = f"where {of} = '{studio_id}'" if studio_id else ""
                    rows = "md5(coalesce(string_agg(t::text, '' order by t::text), ''))"
                    marks.update(str(connection.scalar(text(f"select {rows} from {table.name} t {where}"))).encode())
        return marks.hexdigest()


@pytest.fixture(scope="module")
def studios(cluster):
    engine = connect(migrated_database(cluster))
    ours = open_desk(engine)
    application = create_app(engine, reach=Reach(signed=True))
    floor = Floor(application, ours)
    # Whoever works on files runs with the application.
    with TestClient(application, base_url="https://localhost"):
        owner = floor.first()
        filled = fill(owner)
        people = {
            "owner": owner,
            "coach": floor.person("coach", "Coach"),
            "assistant": floor.person("assistant", "Hand"),
        }
        make(owner, Authenticator())
        people["golfer"] = floor.person("golfer", "Golfer", filled["first"])
    other = uuid6.uuid7()
    with Session(engine) as session, session.begin():
        session.add(StudioRow(id=other, name="Another", place="", coach="", invented=False))
    elsewhere = create_app(engine)
    elsewhere.state.desk._desk = Desk(engine, other)
    with TestClient(elsewhere, base_url="http://localhost") as client:
        fill(Coach(client))
    with Session(engine) as session, session.begin():
        their, made = uuid6.uuid7(), {"credential": "theirs", "public_key": b"", "signed": 0, "host": "localhost"}
        told = {"name": "Theirs", "known_as": "theirs", "role": "owner", "golfer_id": None, "passphrase": ""}
        session.add(AccountRow(studio_id=other, id=their, **told))
        session.flush()
        row = made | {"device": "", "made_at": datetime.now(UTC), "used_at": None}
        session.add(PasskeyRow(studio_id=other, id=uuid6.uuid7(), account_id=their, **row))
    ids: dict[str, dict[str, str]] = {"own": {}, "other": {}, "none": {}}
    with engine.connect() as connection:
        for kind, studio in (("own", ours.studio_id), ("other", other)):
            for table in Stored.metadata.sorted_tables:
                if "id" in table.c and "studio_id" in table.c:
                    told = text(f"select id from {table.name} where studio_id = :studio order by id limit 1")
                    if found := connection.scalar(told, {"studio": studio}):
                        ids[kind][table.name] = str(found)
    yield Studios(floor, engine, requests_of(application), people, ids, str(other))
    engine.dispose()


def body_for(it: Studios, kind: str, schema: Any, schemas: dict[str, Any], name: str = "") -> Any:
    """As little as can be told, naming rows of one kind by id."""
    if "$ref" in schema:
        return body_for(it, kind, schemas[schema["$ref"].rsplit("/", 1)[1]], schemas, name)
    for union in ("anyOf", "oneOf", "allOf"):
        if union in schema:
            return body_for(it, kind, schema[union][0], schemas, name)
    if "const" in schema or "enum" in schema:
        return schema.get("const", schema.get("enum", [None])[0])
    match schema.get("type"):
        case "object":
            wanted = {one: told for one, told in schema.get("properties", {}).items()
                      if one in schema.get("required", ()) or one.endswith("_id")}  # fmt: skip
            return {one: body_for(it, kind, told, schemas, one) for one, told in wanted.items()}
        case "array":
            return [body_for(it, kind, schema["items"], schemas, name)] * schema.get("minItems", 0)
        case "string" if schema.get("format") == "uuid":
            return it.id_of(kind, name.removesuffix("_id"))
        case "string" if schema.get("format") == "date-time":
            return datetime.now(UTC).isoformat()
        case "string":
            return (schema.get("examples") or ["told"])[0]
        case "number" | "integer":
            return schema.get("minimum", schema.get("exclusiveMinimum", 0) + 1)
        case "boolean":
            return True
        case _:
            return {}


def ask(it: Studios, who: Somebody, request: str, kind: str) -> tuple[int, str]:
    """What is answered, ids and times left out of it: so that answers can be compared."""
    method, _, path = request.partition(" ")
    about = it.requests[request]
    segment = path.removeprefix("/api/").partition("/")[0]
    table = _OWN_TABLES.get(segment, segment.removesuffix("s").replace("-", "_"))
    filled = path.replace("{scope}", "golfer").replace("{id}", it.id_of(kind, "golfer" if "{scope}" in path else table))
    names = {"disagreement": "eyes", "code": "cost", "name": "gate", "number": "1"}
    names["before"] = it.id_of(kind, "practice_plan")
    filled = re.sub(r"\{(disagreement|code|name|number|before)\}", lambda told: names[told[1]], filled)
    if method == "WS":
        return _socket(who, filled)
    query = {}
    for told in about.get("parameters", ()):
        if told["in"] == "query" and told.get("required"):
            table = {"first": "lesson", "second": "lesson"}.get(told["name"], told["name"].removesuffix("_id"))
            uuid = told["schema"].get("format") == "uuid"
            query[told["name"]] = (
                it.id_of(kind, table) if uuid else body_for(it, kind, told["schema"], about["schemas"])
            )
    content = about.get("requestBody", {}).get("content", {}).get("application/json")
    body = body_for(it, kind, content["schema"], about["schemas"]) if content else None
    answer = who.client.request(method, filled, params=query, json=body)
    return answer.status_code, _masked(answer.text)


def _socket(who: Somebody, path: str) -> tuple[int, str]:
    try:
        with who.client.websocket_connect(f"wss://localhost{path}") as socket:
            return 200, _masked(socket.receive_text())
    except WebSocketDisconnect as closed:
        return closed.code, ""


def _masked(told: str) -> str:
    told = re.sub(r"[0-9a-f]{8}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{4}-[0-9a-f]{12}", "ID", told)
    # What is counted up for the studio goes on counting.
    told = re.sub(r'"number":\d+', "NUMBER", told)
    # Everything that is written moves the mark of the data on, also where it is taken back.
    told = re.sub(r'"revision":\d+', "REVISION", told)
    told = re.sub(r'"challenge":"[^"]*"', "CHALLENGE", told)
    return re.sub(r"\d{4}-\d\d-\d\dT[\d:.+Z]+", "TIME", told)


def test_every_request_stands_in_the_table_once(studios):
    acts = [frozenset(it) for it in (ANYBODY, BY_OWN_KEY, ANY_ACCOUNT)]
    for request in studios.requests:
        named = sum(request in it for it in acts) + (act_of(request) is not None and not request.startswith("GET "))
        assert named == 1 or (request.startswith("GET ") and named <= 1), request
    told = {one for it in (*_ACTS.values(), *acts) for one in it}
    assert told <= set(studios.requests), told - set(studios.requests)


def test_roles_are_allowed_less_and_less():
    everything = [MAY[role] for role in ("owner", "coach", "assistant", "golfer")]
    assert all(less < more for more, less in pairwise(everything))
    assert not MAY["assistant"] & {"judge", "delete", "people", "studio"} and MAY["golfer"] == {"own"}


@pytest.mark.parametrize("role", ["nobody", *ROLES])
def test_who_may_not_is_told_the_same_of_everything_and_nothing_changes(studios, role):
    who = studios.floor.browser() if role == "nobody" else studios.people[role]
    refused = [it for it in studios.requests if not is_open(it) and (role == "nobody" or not may(role, it))]
    assert bool(refused) == (role != "owner")
    before = studios.rows()
    for request in refused:
        told = {kind: ask(studios, who, request, kind) for kind in ("own", "other", "none")}
        status = 401 if role == "nobody" else 403
        assert told["own"][0] == (4401 if request.startswith("WS") else status), (request, told)
        assert told["own"] == told["other"] == told["none"], request
    assert studios.rows() == before


@pytest.mark.parametrize("role", ROLES)
def test_what_is_of_another_studio_is_as_if_it_were_not_there_and_stays_as_it_was(studios, role):
    who, before = studios.people[role], studios.rows(studios.other)
    # Whoever signs out, or changes who may come in, comes in no more: that is walked in another place.
    left = ("DELETE /api/session/everywhere", "PUT /api/session/passphrase", "PUT /api/archives/{id}/rows")
    asked = [it for it in studios.requests if "{" in it or "lesson_id" in json.dumps(studios.requests[it])]
    # What is asked first keeps nothing: whatever is found then is another's.
    for request in sorted(asked, key=lambda it: not it.startswith(("GET", "WS"))):
        if is_open(request) or request in left or not may(role, request):
            continue
        other, none = (ask(studios, who, request, kind) for kind in ("other", "none"))
        assert other == none, (request, other, none)
        assert other[0] not in (401, 403), request
    assert studios.rows(studios.other) == before


@pytest.mark.parametrize("role", ["coach", "assistant"])
def test_what_a_role_may_it_can(studios, role):
    for request in ("GET /api/golfers/{id}", "GET /api/lessons/{id}", "GET /api/golfers/{id}/line", "GET /api/today"):
        status, told = ask(studios, studios.people[role], request, "own")
        assert status == 200 and told, request
    assert ask(studios, studios.people[role], "WS /api/live/lessons/{id}", "own")[0] == 200


def test_whatever_lets_in_locks_out_or_deletes_people_asks_for_the_passphrase_once_more():
    making = {"POST /api/passkeys/making", "PUT /api/passkeys/{id}"}
    assert {it for it in _ACTS["people"] if not it.startswith("GET ")} | making == PROVED
    assert {"PUT /api/accounts/{id}/link", "PUT /api/removals/{id}", "PUT /api/screens/{id}/link"} <= PROVED


def test_the_database_shows_a_studio_no_row_of_another_and_lets_none_be_changed(studios):
    """In every table there is, whatever is asked: the second wall, behind what the code asks for."""
    seen, there = 0, Desk(studios.engine, uuid6.UUID(studios.other))
    for table in Stored.metadata.sorted_tables:
        of, ours = "id" if table.name == "studio" else "studio_id", {"studio": studios.floor.desk.studio_id}
        with there.taken_back() as desk, desk.transaction() as session:
            for told in (
                f"select 1 from {table.name} where {of} = :studio",
                f"update {table.name} set {of} = {of} where {of} = :studio returning 1",
                f"delete from {table.name} where {of} = :studio returning 1",
            ):
                assert session.execute(text(told), ours).all() == [], told
            assert session.scalar(text(f"select count(*) from {table.name} where {of} <> :studio"), ours) is not None
        with studios.engine.connect() as connection:
            seen += bool(connection.scalar(text(f"select count(*) from {table.name} where {of} = :studio"), ours))
    assert seen > 40
    for told in ("update golfer set studio_id = :studio", "insert into studio values (:studio, 'Mine', '', '')"):
        with (
            there.taken_back() as desk,
            desk.transaction() as session,
            pytest.raises(ProgrammingError, match="row-level"),
        ):
            session.execute(text(told), {"studio": uuid6.uuid7()})


def test_with_the_codes_own_check_taken_away_nothing_of_another_studio_is_found(studios, monkeypatch):
    """As if `Desk.get` had forgotten to ask whose a row is: the same answer; with the wall gone, too, it is told."""

    def unchecked(self: Desk, session: Session, table: Any, id: Any, what: str, *, lock: bool = False) -> Any:
        found = session.scalar(select(table).where(table.id == id))
        if found is None:
            raise NotFound(what)
        return found

    coach = studios.people["coach"]
    monkeypatch.setattr(Desk, "get", unchecked)
    told = [it for it in studios.requests if it.startswith("GET ") and "{id}" in it and may("coach", it)]
    for request in told:
        other, none = (ask(studios, coach, request, kind) for kind in ("other", "none"))
        assert other == none, request
    for name in ("_SAY_STUDIO", "_SAY_STUDIO_AND_WHO"):
        plain = str(getattr(doors, name)).replace(f"'{doors.ROLE}'", "current_user")
        monkeypatch.setattr(doors, name, text(plain))
    open_now = [it for it in told if ask(studios, coach, it, "other")[0] == 200]
    assert len(open_now) > 5
