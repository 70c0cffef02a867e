"""How a device talks to Libella: pairs, then sends messages until each is answered (docs/formats/strokes.md)."""

import json
import time
import urllib.error
import urllib.request
from collections.abc import Mapping
from datetime import UTC, datetime

from websockets.exceptions import WebSocketException
from websockets.sync.client import ClientConnection, connect

FORMAT = {"format": "libella-stroke", "version": 1}
_ANSWER_WITHIN_S = 5.0


class NotPaired(Exception):
    """The server does not know this device, or not any more."""


def pair(url: str, code: str, device_id: str) -> str:
    """The token for a pairing code; `NotPaired` with the server's words."""
    body = json.dumps({**FORMAT, "code": code, "device_id": device_id}).encode()
    request = urllib.request.Request(
        f"{url}/api/sensor-link/pair", data=body, headers={"content-type": "application/json"}, method="POST"
    )
    try:
        with urllib.request.urlopen(request, timeout=_ANSWER_WITHIN_S) as answer:
            return json.load(answer)["token"]
    except urllib.error.HTTPError as refused:
        raise NotPaired(json.load(refused).get("detail", "refused")) from None


class Link:
    """A device's connection. What is not answered is sent again when the connection is back, in order."""

    def __init__(self, url: str, token: str, device_id: str) -> None:
        self._url = url.replace("http", "ws", 1) + "/api/sensor-link/stream"
        self._token, self._device_id = token, device_id
        self._socket: ClientConnection | None = None
        self.unanswered: list[dict[str, object]] = []

    def message(
        self, kind: str, measures: Mapping[str, float], at: datetime | None = None, stroke_id: str = ""
    ) -> dict[str, object]:
        """A message as the format has it."""
        told = {"kind": kind, "device_id": self._device_id, "stroke_id": stroke_id, "measures": dict(measures)}
        return {**FORMAT, **told, "at": (at or datetime.now(UTC)).isoformat()}

    def send(self, message: dict[str, object], *, lasting: bool = True) -> None:
        """Send a message, behind what waits; one that is not `lasting` is let go where it does not get through."""
        if lasting:
            self.unanswered.append(message)
            self.flush()
        elif not self.unanswered:
            self._deliver(message)

    def flush(self) -> None:
        """Send what waits; what the server can't keep just now goes on waiting."""
        while self.unanswered:
            answer = self._deliver(self.unanswered[0])
            if answer is None or (answer.get("problem", {}) and answer["problem"].get("status") == 503):
                return
            self.unanswered.pop(0)

    def drop(self) -> None:
        """Lose the connection."""
        if self._socket is not None:
            self._socket.close()
            self._socket = None

    def _deliver(self, message: dict[str, object]) -> dict | None:
        try:
            socket = self._socket or self._connect()
            socket.send(json.dumps(message))
            return json.loads(socket.recv(timeout=_ANSWER_WITHIN_S))
        except (OSError, TimeoutError, WebSocketException):
            self._socket = None
            return None

    def _connect(self) -> ClientConnection:
        socket = connect(self._url, open_timeout=_ANSWER_WITHIN_S)
        socket.send(json.dumps({**FORMAT, "kind": "hello", "token": self._token}))
        if json.loads(socket.recv(timeout=_ANSWER_WITHIN_S)).get("kind") != "welcome":
            socket.close()
            raise NotPaired("This device is not paired, or not any more.")
        self._socket = socket
        return socket


def until(moment: float) -> None:
    """Wait for a moment of the clock, seconds."""
    time.sleep(max(0.0, moment - time.time()))
