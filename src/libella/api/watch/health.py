"""Health: does it live, can it keep, and how is what it stands on."""

from datetime import UTC, datetime
from typing import Literal

from fastapi import Request
from pydantic import BaseModel, Field

from ..base.router import Router
from ..base.shapes import AtDesk
from .front import Front
from .state import State, disk_of, room_to_keep, waiting

router = Router(prefix="/health", tags=["health"])


class LiveOut(BaseModel):
    status: Literal["live"] = "live"


class HealthOut(BaseModel):
    """Something can be kept: the database is there, and has room to write."""

    status: Literal["ready"] = "ready"
    disk: State = Field(description="room where it is kept; `not_told` where the database is elsewhere")
    jobs: State = Field(description="long work: `late` where some has waited for minutes")
    certificate: State = Field(
        description="of the address it is opened at: `late` where it was not renewed; `not_told` on this machine alone"
    )


@router.get("/live")
def live() -> LiveOut:
    """Answers for as long as the process does, whatever became of the database."""
    return LiveOut()


@router.get("")
def health(desk: AtDesk, request: Request) -> HealthOut:
    """Answers when something can be kept."""
    with desk.transaction() as session:
        room_to_keep(session.connection())
        jobs = waiting(session.connection()).state
    disk = disk_of(request.app.state.kept_in)
    front: Front | None = request.app.state.front
    return HealthOut(
        disk=disk.state if disk else "not_told",
        jobs=jobs,
        certificate=front.certificate(datetime.now(UTC)) if front else "not_told",
    )
