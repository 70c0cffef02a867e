"""The front: caddy, which ends TLS and hands on to the application on loopback. Nothing is served without TLS."""

import contextlib
import json
import os
import shutil
import socket
import subprocess
import time
from collections.abc import Generator, Mapping, Sequence
from contextlib import contextmanager
from pathlib import Path
from typing import Any, Final

from ..api.watch.front import Front, is_address

IDLE_S: Final = 60
"""A line to the application that nobody asks on is closed after so long, s, by us: never by the application first."""
_PATIENCE_S: Final = 20.0
_CALLED: Final = {"name": "Libella authority", "root_common_name": "Libella authority"}
"""How its authority stands in the lists of devices that trust it."""


class FrontError(RuntimeError):
    """The front can't be had, or does not start: what happened and what to do."""


def configured(front: Front, behind_port: int) -> Mapping[str, Any]:
    """What caddy is told (its own JSON): one TLS server for its names, its own authority or a public one, nothing on
    port 80, no remote control, no log of who asked for what."""
    names = list(front.names)
    issuer = {"module": "internal"} if front.vouches == "own" else {"module": "acme"}
    hand_on = {
        "handler": "reverse_proxy",
        "upstreams": [{"dial": f"127.0.0.1:{behind_port}"}],
        "transport": {"protocol": "http", "keep_alive": {"idle_timeout": f"{IDLE_S}s"}},
        **_asked_for(front.forwarders),
    }
    far = {"Strict-Transport-Security": ["max-age=31536000"]} if front.vouches == "public" else {}
    return {
        "admin": {"disabled": True},
        "storage": {"module": "file_system", "root": str(front.folder / "caddy")},
        "logging": {"logs": {"default": {"level": "ERROR"}}},
        "apps": {
            "http": {
                "http_port": 0,
                "https_port": front.port,
                "servers": {
                    "floor": {
                        "listen": [f":{front.port}"],
                        # The names are asked for once, below: asked for twice, the second reads what the first is
                        # writing, and caddy ends.
                        "automatic_https": {"disable_redirects": True, "disable_certificates": True},
                        "routes": [
                            {
                                "match": [{"host": names}],
                                "handle": [{"handler": "headers", "response": {"set": far}}, hand_on],
                                "terminal": True,
                            }
                        ],
                        # By its address a browser names nobody: the certificate for that is the first one's.
                        "tls_connection_policies": [{"default_sni": names[0]}],
                    }
                },
            },
            "pki": {"certificate_authorities": {"local": {"install_trust": False, **_CALLED}}},
            "tls": {
                "certificates": {"automate": names},
                "automation": {"policies": [{"subjects": names, "issuers": [issuer]}]},
            },
        },
    }


def _asked_for(forwarders: Sequence[str]) -> Mapping[str, Any]:
    """Who asks is told by the line he asks on, never by what he says of himself; of forwarders that were named it is
    passed on, and the application takes the last that is none of them."""
    if forwarders:
        return {"trusted_proxies": list(forwarders)}
    return {"headers": {"request": {"set": {"X-Forwarded-For": ["{http.request.remote.host}"]}}}}


def once_vouched(front: Front, patience_s: float = _PATIENCE_S) -> bool:
    """Return once each of its names shows a certificate of its own authority, made when it starts; False where one does
    not after that long. A public authority is not waited for: it may answer in minutes, or not from here."""
    # By an address the first one's is shown.
    names = [front.names[0], *(it for it in front.names[1:] if not is_address(it))]
    until = time.monotonic() + patience_s
    while front.vouches == "own" and any(front.certificate_until(it) is None for it in names):
        if time.monotonic() > until:
            return False
        time.sleep(0.1)
    return True


@contextmanager
def running(config: Mapping[str, Any], folder: Path) -> Generator[subprocess.Popen[bytes]]:
    """Caddy, for as long as the block lasts."""
    program = shutil.which("caddy")
    if program is None:
        raise FrontError("caddy is not installed: run ./serve, which installs it, or apt-get install caddy.")
    file = folder / "caddy.json"
    file.write_text(json.dumps(config, indent=1))
    log = folder / "caddy.log"
    environment = os.environ | {"XDG_DATA_HOME": str(folder), "XDG_CONFIG_HOME": str(folder), "HOME": str(folder)}
    with log.open("ab") as out:
        process = subprocess.Popen(
            [program, "run", "--config", str(file)], stdout=out, stderr=out, env=environment, start_new_session=True
        )
    try:
        _wait(process, config["apps"]["http"]["https_port"], log)
        yield process
    finally:
        process.terminate()
        with contextlib.suppress(subprocess.TimeoutExpired):
            process.wait(5)
        if process.poll() is None:
            process.kill()


def _wait(process: subprocess.Popen[bytes], port: int, log: Path) -> None:
    until = time.monotonic() + _PATIENCE_S
    while time.monotonic() < until:
        if process.poll() is not None:
            said = log.read_text(errors="replace").strip().splitlines()
            raise FrontError(f"caddy ended: {said[-1] if said else 'it said nothing'}")
        with contextlib.suppress(OSError), socket.create_connection(("127.0.0.1", port), timeout=1):
            return
        time.sleep(0.1)
    raise FrontError(f"caddy does not listen on port {port} after {_PATIENCE_S:g} s; {log} says more.")
