"""A studio where everybody has to sign in: its owner, a coach, an assistant, a golfer, each in a browser of his own."""

from dataclasses import dataclass
from datetime import UTC, datetime, timedelta

import pytest
import uuid6
from fastapi import FastAPI
from fastapi.testclient import TestClient

from libella.api.app import Reach, create_app
from libella.lessons.desk.desk import Desk
from libella.lessons.people import accounts

from ...conftest import Coach

PASSPHRASE = "kettle harbour willow-9 plinth"


@dataclass
class Somebody(Coach):
    """Whoever is signed in, or nobody, in a browser of his own."""

    client: TestClient
    id: str = ""
    name: str = ""


@dataclass
class Floor:
    """The studio, and everybody of it."""

    application: FastAPI
    desk: Desk
    owner: Somebody | None = None

    def browser(self) -> Somebody:
        return Somebody(TestClient(self.application, base_url="https://localhost", raise_server_exceptions=False))

    def first(self) -> Somebody:
        """The owner, who came in by the link that is printed at the first start."""
        token = accounts.first_owner(self.desk, datetime.now(UTC), timedelta(hours=1))
        assert token is not None
        self.owner = self.taken(token)
        return self.owner

    def taken(self, token: str, passphrase: str = PASSPHRASE) -> Somebody:
        """Whoever takes a link."""
        one = self.browser()
        answer = one.client.post("/api/links/take", json={"token": token, "passphrase": passphrase})
        assert answer.status_code == 200, answer.text
        one.id, one.name = answer.json()["account"]["id"], answer.json()["account"]["name"]
        return one

    def person(self, role: str, name: str, golfer_id: str | None = None) -> Somebody:
        """Somebody of a role, made and invited by the owner."""
        owner, id = self.owner or self.first(), str(uuid6.uuid7())
        owner.put(f"/accounts/{id}", name=name, role=role, golfer_id=golfer_id)
        return self.taken(self.link(id))

    def link(self, id: str) -> str:
        """The token of a new link for an account."""
        assert self.owner is not None
        told = self.owner.put(f"/accounts/{id}/link", address="https://green.example/welcome")
        return told["link"].partition("#")[2]


@pytest.fixture(scope="session")
def signed_application(migrated) -> FastAPI:
    return create_app(migrated, reach=Reach(signed=True))


@pytest.fixture
def floor(engine, desk, signed_application) -> Floor:
    signed_application.state.desk.forget()
    return Floor(signed_application, desk)
