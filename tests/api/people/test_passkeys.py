"""Passkeys: made by whoever is signed in, signed with once for what was asked, and of use to nobody else."""

from datetime import UTC, datetime, timedelta

import pytest
import uuid6
from sqlalchemy import text

from .authenticator import Authenticator
from .conftest import PASSPHRASE


def make(somebody, device, id=None, status=200):
    options = somebody.client.post("/api/passkeys/making").json()["options"]
    return somebody.put(f"/passkeys/{id or uuid6.uuid7()}", status, credential=device.makes(options))


def asked(browser):
    return browser.client.post("/api/passkeys/asking").json()["options"]


def come_in(browser, device, status=200):
    return browser.put("/session/by-passkey", status, credential=device.signs(asked(browser)))


def test_a_passkey_lets_its_owner_in_again_and_is_seen_in_the_list(floor):
    owner, device = floor.first(), Authenticator()
    made = make(owner, device)
    assert made["host"] == "localhost" and made["credential"] == device.name and made["used_at"] is None
    other = floor.browser()
    assert other.get("/session")["account"] is None
    assert come_in(other, device)["account"]["id"] == owner.id
    assert other.get("/session")["account"]["name"] == "Owner" and other.get("/golfers")["items"] == []
    [listed] = other.get("/passkeys")
    assert listed["used_at"] is not None and listed["id"] == made["id"]
    # What is asked of a stranger's browser names no passkey there is.
    assert device.name not in str(asked(floor.browser()))
    # The browser that is to make another is told which there is, so that it makes no second one.
    options = owner.client.post("/api/passkeys/making").json()["options"]
    assert [it["id"] for it in options["excludeCredentials"]] == [device.name]
    assert options["authenticatorSelection"]["userVerification"] == "required"
    deeds = owner.get("/deeds")["items"]
    assert any("kept a passkey" in str(it) for it in deeds)


def test_what_was_asked_is_answered_once_and_soon_and_for_nothing_else(floor):
    owner, device = floor.first(), Authenticator()
    make(owner, device)
    stranger = floor.browser()
    options = asked(stranger)
    signed = device.signs(options)
    stranger.put("/session/by-passkey", credential=signed)
    again = floor.browser()
    refused = again.put("/session/by-passkey", 401, credential=signed)
    assert refused["title"] == "Not signed in" and again.get("/session")["account"] is None
    late = asked(again)
    with floor.desk.transaction() as session:
        session.execute(text("update passkey_question set until = now() - interval '1 second'"))
    again.put("/session/by-passkey", 401, credential=device.signs(late))
    # What was asked to make a passkey is not signed with to come in.
    making = owner.client.post("/api/passkeys/making").json()["options"]
    again.put("/session/by-passkey", 401, credential=device.signs(making))
    owner.put(f"/passkeys/{uuid6.uuid7()}", 409, credential=Authenticator(credential=b"x" * 16).makes(asked(again)))


@pytest.mark.parametrize(
    "change",
    [{"origin": "https://localhost.example"}, {"host": "example.org"}, {"verifies": False}, {"counts": -1}, {"key": 0}],
)
def test_nobody_comes_in_by_what_another_page_or_another_key_signed(floor, change):
    owner, device = floor.first(), Authenticator(counts=5)
    make(owner, device)
    come_in(floor.browser(), device)
    for name, told in change.items():
        setattr(device, name, Authenticator().key if name == "key" else told)
    browser = floor.browser()
    come_in(browser, device, 401)
    assert browser.get("/session")["account"] is None


@pytest.mark.parametrize("change", [{"origin": "https://localhost.example"}, {"verifies": False}])
def test_a_passkey_another_page_made_or_that_asks_nothing_is_not_taken(floor, change):
    owner = floor.first()
    refused = make(owner, Authenticator(**change), status=409)
    assert "no passkey that could be asked again" in refused["detail"] and owner.get("/passkeys") == []


def test_one_device_makes_no_passkey_twice_and_nobody_takes_anothers(floor):
    owner, device = floor.first(), Authenticator()
    made = make(owner, device)
    make(owner, device, status=409)
    coach = floor.person("coach", "Wren Coach")
    assert coach.get("/passkeys") == []
    coach.put(f"/accounts/{owner.id}/locked", 403, locked=True)
    assert coach.client.delete(f"/api/passkeys/{made['id']}").status_code == 404
    make(coach, device, status=409)
    # Another's id is told nothing of what is kept under it.
    theirs = make(coach, Authenticator(credential=b"a passkey of Wren's"), id=made["id"], status=409)
    assert device.name not in str(theirs)
    # What was answered wrongly is not asked again, either.
    options = owner.client.post("/api/passkeys/making").json()["options"]
    new = Authenticator(credential=b"another of this device", verifies=False)
    owner.put(f"/passkeys/{uuid6.uuid7()}", 409, credential=new.makes(options))
    new.verifies = True
    owner.put(f"/passkeys/{uuid6.uuid7()}", 409, credential=new.makes(options))
    owner.drop(f"/passkeys/{made['id']}")
    come_in(floor.browser(), device, 401)


def test_a_locked_account_is_not_let_in_and_told_nothing_more(floor):
    floor.first()
    coach, device = floor.person("coach", "Wren Coach"), Authenticator()
    make(coach, device)
    floor.owner.put(f"/accounts/{coach.id}/locked", locked=True)
    locked = come_in(floor.browser(), device, 401)
    nobody = come_in(floor.browser(), Authenticator(credential=b"of nobody at all"), 401)
    assert locked == nobody


def test_whoever_had_to_come_in_another_way_begins_with_no_passkey(floor):
    floor.first()
    coach, device = floor.person("coach", "Wren Coach"), Authenticator()
    make(coach, device)
    coach.put("/session/passphrase", now=PASSPHRASE, passphrase="another plinth willow-4 harbour")
    come_in(floor.browser(), device)
    floor.taken(floor.link(coach.id))
    come_in(floor.browser(), device, 401)
    told = floor.owner.put("/session/passphrase", now=PASSPHRASE, passphrase="another plinth willow-4 harbour")
    make(floor.owner, device)
    body = {"name": "owner", "code": told["codes"][0], "passphrase": PASSPHRASE}
    assert floor.browser().client.post("/api/session/recover", json=body).status_code == 200
    come_in(floor.browser(), device, 401)


def test_a_passkey_proves_who_one_is_and_is_asked_for_before_another_is_made(floor):
    owner, device = floor.first(), Authenticator()
    make(owner, device)
    coach, others = floor.person("coach", "Wren Coach"), Authenticator(credential=b"a passkey of Wren's")
    make(coach, others)
    before = datetime.now(UTC) - timedelta(minutes=11)
    with floor.desk.transaction() as session:
        session.execute(text("update sign_in set proved_at = :at"), {"at": before})
    assert owner.client.post("/api/passkeys/making").status_code == 403
    owner.put(f"/accounts/{coach.id}/locked", 403, locked=True)
    owner.put("/session/proof-by-passkey", 422, credential=others.signs(asked(owner)))
    owner.put(f"/accounts/{coach.id}/locked", 403, locked=True)
    owner.client.put("/api/session/proof-by-passkey", json={"credential": device.signs(asked(owner))})
    owner.put(f"/accounts/{coach.id}/locked", locked=True)


def test_by_a_number_there_is_no_passkey_and_it_says_so(floor):
    owner = floor.first()
    told = owner.client.post("/api/passkeys/making", headers={"host": "127.0.0.1"})
    assert told.status_code == 409 and "opened by a number" in told.json()["detail"]


def test_an_account_has_so_many_passkeys_and_no_more(floor):
    owner = floor.first()
    for n in range(10):
        make(owner, Authenticator(credential=bytes([n]) * 16))
    told = owner.client.post("/api/passkeys/making")
    assert told.status_code == 409 and "10 passkeys" in told.json()["detail"]
