"""The front before the application: by which addresses it is opened, and the certificate it shows there."""

import hashlib
import socket
import ssl
from collections.abc import Sequence
from dataclasses import dataclass
from datetime import UTC, datetime, timedelta
from functools import lru_cache
from ipaddress import ip_address
from pathlib import Path
from typing import Final, Literal

from .state import State

Vouches = Literal["own", "public"]
AUTHORITY: Final = "caddy/pki/authorities/local/root.crt"
"""The certificate of the front's own authority, in its folder."""
_RENEWED_BEFORE: Final = {"own": timedelta(hours=1), "public": timedelta(days=7)}
"""By then it was renewed long ago, if it is renewed at all: our own are good for half a day."""
_USUAL_PORT: Final = 443
_PATIENCE_S: Final = 3.0


@dataclass(frozen=True, slots=True)
class Front:
    """Where it is opened from elsewhere.

    Attributes
    ----------
    names : by which names and addresses, the one that is told first
    port : where, by TLS
    folder : where the front keeps its authority and certificates
    vouches : whose word its certificate is, the front's own authority's or a public one's
    forwarders : addresses, or ranges of them, that are believed when they say for whom they ask; nobody else is
    """

    names: tuple[str, ...]
    port: int
    folder: Path
    vouches: Vouches
    forwarders: tuple[str, ...] = ()

    @property
    def addresses(self) -> Sequence[str]:
        """Each name as it is typed."""
        port = "" if self.port == _USUAL_PORT else f":{self.port}"
        return [f"https://{_bracketed(it)}{port}" for it in self.names]

    @property
    def authority(self) -> bytes | None:
        """The certificate of its own authority (PEM); None where a public one vouches, or none was made yet."""
        file = self.folder / AUTHORITY
        return file.read_bytes() if self.vouches == "own" and file.is_file() else None

    @property
    def fingerprint(self) -> str | None:
        """SHA-256 of that certificate, in pairs of digits, as devices show it."""
        authority = self.authority
        if authority is None:
            return None
        return hashlib.sha256(ssl.PEM_cert_to_DER_cert(authority.decode())).digest().hex(":").upper()

    def certificate_until(self, name: str = "") -> datetime | None:
        """Until when the certificate that is shown for a name, the first where none is told, is good; None where none
        is shown, or nobody here vouches for it."""
        context = ssl.create_default_context()
        authority = self.authority
        if authority is not None:
            context.load_verify_locations(cadata=authority.decode())
        try:
            with (
                socket.create_connection(("127.0.0.1", self.port), timeout=_PATIENCE_S) as plain,
                context.wrap_socket(plain, server_hostname=name or self.names[0]) as shown,
            ):
                told = shown.getpeercert() or {}
        except (OSError, ssl.SSLError):
            return None
        return datetime.fromtimestamp(ssl.cert_time_to_seconds(str(told["notAfter"])), UTC)

    def certificate(self, now: datetime) -> State:
        """How the certificate is: `late` where it was not renewed in time, or none is shown.

        Looked at once a minute at most, however often health is asked: anybody may ask.
        """
        until = _looked_at(self, int(now.timestamp()) // 60)
        return "ok" if until is not None and self.is_renewed(until, now) else "late"

    def is_renewed(self, until: datetime, now: datetime) -> bool:
        """Whether a certificate that is good until then was renewed in time."""
        return until - now >= _RENEWED_BEFORE[self.vouches]


@lru_cache(maxsize=4)
def _looked_at(front: Front, _minute: int) -> datetime | None:
    return front.certificate_until()


def is_address(name: str) -> bool:
    """Whether it is a number rather than a name."""
    try:
        ip_address(name)
    except ValueError:
        return False
    return True


def _bracketed(name: str) -> str:
    return f"[{name}]" if is_address(name) and ":" in name else name
