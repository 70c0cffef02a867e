"""Stand-ins for devices, started from the demo's own menu; elsewhere there are none."""

from typing import Literal, Protocol

from fastapi import Request
from pydantic import BaseModel, Field

from ...core.start.stroke import SensorKind
from ...lessons.desk.problem import NotFound
from ...words.start.sensors import SENSORS
from ..base.router import Router
from ..base.shapes import UUID7, Entry

router = Router(prefix="/standins", tags=["standins"])

Fault = Literal["drop", "twice", "late", "noise", "zero", "nonsense"]
FAULTS: dict[Fault, str] = {
    "drop": "Loses its connection now and then",
    "twice": "Tells strokes twice",
    "late": "Tells some strokes ten seconds late",
    "noise": "Reads three times as noisily",
    "zero": "Its face is two degrees off square",
    "nonsense": "Tells nonsense now and then",
}


class Launcher(Protocol):
    """Starts and stops stand-ins, each a program of its own."""

    def start(self, id: str, kind: str, code: str, faults: tuple[str, ...]) -> None: ...
    def stop(self, id: str) -> None: ...
    def running(self) -> dict[str, str]: ...


class StandinIn(Entry):
    kind: SensorKind
    code: str = Field(pattern=r"^\d{6}$", description="the pairing code to show")
    faults: tuple[Fault, ...] = ()


class StandinsOut(BaseModel):
    """Whether stand-ins can be started here, what they can do wrong, and those running: kind by id."""

    available: bool
    kinds: dict[SensorKind, str]
    faults: dict[Fault, str]
    running: dict[str, str]


@router.get("")
def standins(request: Request) -> StandinsOut:
    launcher: Launcher | None = request.app.state.launcher
    running = launcher.running() if launcher else {}
    return StandinsOut(available=launcher is not None, kinds=SENSORS, faults=FAULTS, running=running)


@router.put("/{id}")
def start(request: Request, id: UUID7, entry: StandinIn) -> StandinsOut:
    """Start a stand-in that pairs with this code."""
    _launcher(request).start(str(id), entry.kind, entry.code, entry.faults)
    return standins(request)


@router.delete("/{id}")
def stop(request: Request, id: UUID7) -> StandinsOut:
    """Stop a stand-in."""
    _launcher(request).stop(str(id))
    return standins(request)


def _launcher(request: Request) -> Launcher:
    launcher: Launcher | None = request.app.state.launcher
    if launcher is None:
        raise NotFound("standin")
    return launcher
