"""Coming in: links, passphrases, codes, guessing slowed, signing out; and who did what."""

from datetime import UTC, datetime, timedelta

import pytest
import uuid6
from sqlalchemy import text

from libella.api.people.admit import COOKIE
from libella.lessons.people import accounts, sign_ins
from libella.lessons.people.secrets import is_passphrase

from .conftest import PASSPHRASE


def come_in(somebody, name, passphrase=PASSPHRASE, status=200):
    return somebody.put("/session", status, name=name, passphrase=passphrase)


def test_the_first_link_begins_the_studio_and_nobody_comes_in_before_or_by_it_again(floor):
    stranger = floor.browser()
    assert stranger.get("/session") == {"must": True, "studio": "My studio", "account": None, "locked_out": False}
    assert stranger.get("/today", 401)["title"] == "Not signed in"
    token = accounts.first_owner(floor.desk, datetime.now(UTC), timedelta(hours=1))
    # Asked for again before it was taken, as by the next start: the one before is good no more.
    newer = accounts.first_owner(floor.desk, datetime.now(UTC), timedelta(hours=1))
    assert stranger.client.post("/api/links/look", json={"token": token}).status_code == 404
    told = stranger.client.post("/api/links/look", json={"token": newer}).json()
    assert told == {"studio": "My studio", "name": "Owner", "role_name": "Owner", "begun": False, "first": True}
    owner = floor.taken(newer)
    assert owner.get("/session")["account"]["role"] == "owner" and owner.get("/golfers")["items"] == []
    assert stranger.client.post("/api/links/take", json={"token": newer, "passphrase": PASSPHRASE}).status_code == 404
    assert accounts.first_owner(floor.desk, datetime.now(UTC), timedelta(hours=1)) is None


def test_whoever_begins_the_studio_names_it_and_himself_and_nobody_after_him(floor):
    token, named = accounts.first_owner(floor.desk, datetime.now(UTC), timedelta(hours=1)), {"studio": "The Quay"}
    browser = floor.browser()
    body = {"token": token, "passphrase": "Tove Tove Harbour", "named": named | {"name": "Tove Harbour"}}
    # What he calls himself is among what is tried first; refused, nothing has a name yet.
    assert browser.client.post("/api/links/take", json=body).status_code == 422
    assert browser.get("/session")["studio"] == "My studio"
    body = {"token": token, "passphrase": PASSPHRASE, "named": named | {"name": "Tove"}}
    assert browser.client.post("/api/links/take", json=body).json()["account"]["name"] == "Tove"
    assert browser.get("/session")["studio"] == "The Quay"
    come_in(floor.browser(), "tove")
    come_in(floor.browser(), "owner", status=401)
    floor.owner = browser
    browser.id = browser.get("/session")["account"]["id"]
    told = floor.browser().client.post("/api/links/look", json={"token": floor.link(browser.id)}).json()
    assert told["begun"] and not told["first"]
    body |= {"token": floor.link(browser.id), "named": named | {"name": "Another"}}
    refused = floor.browser().client.post("/api/links/take", json=body)
    assert refused.status_code == 409 and "begun by somebody already" in refused.json()["detail"]


def test_the_owner_alone_names_the_studio(floor):
    owner = floor.first()
    told = owner.put("/studio", name="The Quay", place="Skerrow", coach="Tove")
    assert told == owner.get("/studio") == {"name": "The Quay", "place": "Skerrow", "coach": "Tove", "invented": False}
    assert any("changed the studio" in str(it) for it in owner.get("/deeds")["items"])
    floor.person("coach", "Wren Coach").put("/studio", 403, name="Mine")
    assert owner.put("/studio", 422, name=" ")["errors"][0]["field"] == "name"


def test_the_cookie_is_for_this_host_over_tls_and_for_no_script(floor):
    owner = floor.first()
    answer = owner.client.put("/api/session", json={"name": "owner", "passphrase": PASSPHRASE})
    said = answer.headers["set-cookie"]
    assert said.startswith(f"{COOKIE}=") and COOKIE.startswith("__Host-")
    for part in ("HttpOnly", "Secure", "SameSite=lax", "Path=/"):
        assert part in said
    assert "Domain" not in said
    token = owner.client.cookies[COOKIE]
    with floor.desk.transaction() as session:
        kept = " ".join(str(it) for row in session.execute(text("select * from sign_in")) for it in row)
        hashed = session.scalar(text("select passphrase from account"))
    assert token not in kept and hashed.startswith("$argon2id$") and PASSPHRASE not in hashed


@pytest.mark.parametrize(
    ("passphrase", "says"),
    [("short", "12 to 128"), ("x" * 129, "12 to 128"), ("password1234", "words"), ("Owner Owner Owner", "words")],
)
def test_a_passphrase_that_is_soon_guessed_is_refused_and_the_link_stays_good(floor, passphrase, says):
    token = accounts.first_owner(floor.desk, datetime.now(UTC), timedelta(hours=1))
    answer = floor.browser().client.post("/api/links/take", json={"token": token, "passphrase": passphrase})
    assert answer.status_code == 422 and says in answer.json()["errors"][0]["limit"]
    assert passphrase not in answer.text
    floor.taken(token)


def test_a_device_whose_account_was_locked_is_told_so_and_no_other_is(floor):
    floor.first()
    coach, left = floor.person("coach", "Wren Coach"), floor.person("assistant", "Gone Home")
    left.client.delete("/api/session")
    floor.owner.put(f"/accounts/{coach.id}/locked", locked=True)
    assert coach.get("/session") == {"must": True, "studio": "My studio", "account": None, "locked_out": True}
    assert not left.get("/session")["locked_out"] and not floor.browser().get("/session")["locked_out"]
    assert not floor.owner.get("/session")["locked_out"]
    floor.owner.put(f"/accounts/{coach.id}/locked", locked=False)
    assert not coach.get("/session")["locked_out"]


def test_a_browser_that_comes_in_again_is_known_once(floor):
    owner = floor.first()
    token = owner.client.cookies[COOKIE]
    come_in(owner, "owner")
    assert [it["here"] for it in owner.get("/sign-ins")] == [True]
    before = floor.browser()
    before.client.cookies.set(COOKIE, token)
    assert before.get("/session")["account"] is None


def test_a_device_that_is_lost_is_told_so_and_nobody_else_is(floor):
    owner = floor.first()
    lost, other = floor.browser(), floor.browser()
    for it, told in ((lost, {"lost": True}), (other, {})):
        come_in(it, "owner")
        here = next(one["id"] for one in it.get("/sign-ins") if one["here"])
        assert owner.client.delete(f"/api/sign-ins/{here}", params=told).status_code == 200
    lost.get("/golfers", 401)
    assert lost.get("/session")["locked_out"] and not other.get("/session")["locked_out"]
    assert owner.get("/session")["account"]["name"] == "Owner"


def test_a_wrong_passphrase_a_wrong_name_and_a_locked_account_are_told_alike_and_soon_not_at_all(floor):
    floor.first()
    coach = floor.person("coach", "Wren Coach")
    told = {come_in(floor.browser(), name, "not the one at all", 401)["detail"] for name in ("Wren Coach", "Nobody")}
    floor.owner.put(f"/accounts/{coach.id}/locked", locked=True)
    told.add(come_in(floor.browser(), "wren coach", PASSPHRASE, 401)["detail"])
    assert len(told) == 1
    coach.get("/today", 401)
    floor.owner.put(f"/accounts/{coach.id}/locked", locked=False)
    # Locked is signed out; let in again he comes in anew, under his name in any letters.
    coach.get("/today", 401)
    come_in(coach, "WREN COACH")
    coach.get("/today")
    for _ in range(sign_ins.MOST_TRIES):
        come_in(floor.browser(), "Wren Coach", "not the one at all", 401)
    assert come_in(floor.browser(), "Wren Coach", PASSPHRASE, 429)["title"] == "Too many tries"
    # Another name from the same address still comes in, and after a quarter of an hour so does this one.
    come_in(floor.browser(), "owner")
    with floor.desk.transaction() as session:
        session.execute(text("update sign_in_try set at = at - interval '16 minutes'"))
    come_in(floor.browser(), "Wren Coach")


def test_one_address_can_not_try_one_passphrase_on_every_name(floor):
    floor.first()
    for n in range(sign_ins.MOST_TRIES_OF_HOST):
        sign_ins.count_try(floor.desk, f"name {n}", "10.1.2.3", datetime.now(UTC))
    with pytest.raises(sign_ins.TooMany):
        sign_ins.count_try(floor.desk, "another", "10.1.2.3", datetime.now(UTC))
    sign_ins.count_try(floor.desk, "another", "10.1.2.4", datetime.now(UTC))


def test_a_sign_in_ends_idle_at_its_longest_and_when_it_is_ended(floor):
    floor.first()
    for column, ago in (("seen_at", sign_ins.IDLE), ("begun_at", sign_ins.LONGEST)):
        one = floor.browser()
        come_in(one, "owner")
        with floor.desk.transaction() as session:
            session.execute(text(f"update sign_in set {column} = now() - :ago where ended_at is null"), {"ago": ago})
        one.get("/today", 401)
    here, there = floor.browser(), floor.browser()
    come_in(here, "owner")
    come_in(there, "owner")
    listed = here.get("/sign-ins")
    assert [it["here"] for it in listed].count(True) == 1
    other = next(it["id"] for it in listed if not it["here"])
    assert here.client.delete(f"/api/sign-ins/{other}").status_code == 200
    there.get("/today", 401)
    assert here.client.delete("/api/session").status_code == 200
    here.get("/today", 401)
    come_in(here, "owner")
    come_in(there, "owner")
    assert here.client.delete("/api/session/everywhere").status_code == 200
    there.get("/today", 401)


def test_whoever_is_signed_in_for_long_gives_the_passphrase_again_before_what_matters_most(floor):
    owner, id = floor.first(), str(uuid6.uuid7())
    coach = floor.person("coach", "Cole")
    with floor.desk.transaction() as session:
        session.execute(text("update sign_in set proved_at = proved_at - interval '10 minutes 1 second'"))
    told = {"name": "New Hand", "role": "assistant"}
    refused = owner.put(f"/accounts/{id}", 403, **told)
    assert refused["type"].endswith(":prove") and refused["remedy"] == "Give your passphrase or your passkey once more."
    assert all(it["account"]["name"] != "New Hand" for it in owner.get("/accounts")["accounts"])
    # Whoever may not is told that, and no passphrase of his helps.
    assert coach.put(f"/accounts/{id}", 403, **told)["type"].endswith(":not-allowed")
    coach.put("/session/proof", passphrase=PASSPHRASE)
    assert coach.put(f"/accounts/{id}", 403, **told)["type"].endswith(":not-allowed")
    assert "not the passphrase in use" in str(owner.put("/session/proof", 422, passphrase="something else entirely"))
    owner.put(f"/accounts/{id}", 403, **told)
    owner.put("/session/proof", passphrase=PASSPHRASE)
    owner.put(f"/accounts/{id}", **told)
    # Guessing it is slowed as at the door.
    for _ in range(sign_ins.MOST_TRIES):
        owner.put("/session/proof", (422, 429), passphrase="something else entirely")
    assert owner.client.put("/api/session/proof", json={"passphrase": PASSPHRASE}).status_code == 429


def test_another_passphrase_signs_the_others_out_and_a_recovery_code_is_good_once(floor):
    owner, other = floor.first(), floor.browser()
    come_in(other, "owner")
    owner.put("/session/passphrase", 422, now="not the one in use", passphrase="lantern quarry-7 sable moth")
    told = owner.put("/session/passphrase", now=PASSPHRASE, passphrase="lantern quarry-7 sable moth")
    other.get("/today", 401)
    owner.get("/today")
    assert len(set(told["codes"])) == 8
    code = told["codes"][3]

    def recover(code, passphrase="velvet anchor 55 thistle", name="Owner"):
        body = {"name": name, "code": code, "passphrase": passphrase}
        return floor.browser().client.post("/api/session/recover", json=body)

    assert recover("abcd-efgh-jkmn").status_code == 401
    assert recover(code, name="Nobody").status_code == 401
    # One that can't be leaves the code good.
    assert recover(code, "password1234").status_code == 422
    assert recover(code.upper().replace("-", " ")).status_code == 200
    assert recover(code).status_code == 401
    assert recover(told["codes"][4]).status_code == 401
    owner.get("/today", 401)


def test_the_last_owner_stays_and_a_name_is_one_persons(floor):
    owner = floor.first()
    owner.put(f"/accounts/{owner.id}/locked", 409, locked=True)
    assert owner.put(f"/accounts/{owner.id}", 409, name="Owner", role="coach")["detail"].startswith("This is the only")
    owner.put(f"/accounts/{uuid6.uuid7()}", 409, name="OWNER", role="coach")
    owner.put(f"/accounts/{uuid6.uuid7()}", 422, name="A Golfer", role="golfer")
    owner.put(f"/accounts/{uuid6.uuid7()}", 404, name="A Golfer", role="golfer", golfer_id=str(uuid6.uuid7()))
    second = floor.person("owner", "Second Owner")
    second.put(f"/accounts/{owner.id}", name="Owner", role="assistant")
    # Whoever may do less does so at once.
    owner.get("/accounts", 401)
    come_in(owner, "owner")
    owner.get("/accounts", 403)


def test_a_link_is_for_one_is_replaced_and_has_its_picture(floor):
    floor.first()
    id = str(uuid6.uuid7())
    floor.owner.put(f"/accounts/{id}", name="Hand", role="assistant")
    first, second = floor.link(id), floor.link(id)
    assert floor.browser().client.post("/api/links/look", json={"token": first}).status_code == 404
    told = floor.owner.put(f"/accounts/{id}/link", address="https://green.example/welcome")
    assert told["picture"].startswith("<svg") and told["link"].startswith("https://green.example/welcome#")
    assert floor.browser().client.post("/api/links/look", json={"token": second}).status_code == 404
    floor.owner.put(f"/accounts/{id}/link", 422, address="javascript:alert(1)")
    with floor.desk.transaction() as session:
        session.execute(text("update one_time_link set until = now()"))
    assert floor.browser().client.post("/api/links/look", json={"token": told["link"][30:]}).status_code == 404


def test_preferences_go_with_the_person(floor):
    owner, other = floor.first(), floor.browser()
    owner.put("/session/preferences", preferences={"light": "dim", "units": "feet"})
    assert come_in(other, "owner")["account"]["preferences"] == {"light": "dim", "units": "feet"}
    owner.put("/session/preferences", 422, preferences={f"p{n}": "x" for n in range(21)})


def test_who_did_what_stands_with_every_write_and_in_a_list_for_the_owner(floor):
    coach = floor.person("coach", "Wren Coach")
    golfer = coach.put(f"/golfers/{uuid6.uuid7()}", name="Noted Golfer", hand="right", level="club", notes="")
    coach.put(f"/golfers/{golfer['id']}", name="Noted Golfer", hand="left", level="club", notes="")
    # Said again it is the same, and nobody did anything.
    coach.put(f"/golfers/{golfer['id']}", name="Noted Golfer", hand="left", level="club", notes="")
    told = floor.owner.get("/deeds", account=coach.id)
    assert [(it["who"], it["words"], it["row_id"]) for it in told["items"]] == [
        ("Wren Coach", "changed a golfer", golfer["id"]),
        ("Wren Coach", "kept a golfer", golfer["id"]),
    ]
    assert any(it["words"] == "kept an account" and it["who"] == "Owner" for it in floor.owner.get("/deeds")["items"])
    coach.get("/deeds", 403)
    for n in range(60):
        coach.put(f"/golfers/{uuid6.uuid7()}", name=f"Golfer {n}", hand="right", level="club", notes="")
    first = floor.owner.get("/deeds", account=coach.id)
    second = floor.owner.get("/deeds", account=coach.id, after=first["next"])
    seen = [it["id"] for page in (first, second) for it in page["items"]]
    assert len(seen) == len(set(seen)) == 62 and second["next"] is None


def test_nobody_can_tell_by_the_time_it_takes_whether_a_name_is_somebodys():
    # Where there is no hash to compare with, another is: the work is the same, whatever it ends in.
    assert not is_passphrase("", PASSPHRASE) and not is_passphrase("not a hash", PASSPHRASE)
