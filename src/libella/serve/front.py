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
from typing import Any, Final, Literal

from .names import is_address

ROOT: Final = "caddy/pki/authorities/local/root.crt"
"""The certificate of the authority of its own, in its folder."""
IDLE_S: Final = 60
"""A line to the application that nobody asks on is closed after so long, s, by us: never by the application first."""
_PATIENCE_S: Final = 20.0


class FrontError(RuntimeError):
    """The front can't be had, or does not start: what happened and what to do."""


def configured(
    names: Sequence[str], https_port: int, behind_port: int, folder: Path, certificate: Literal["own", "public"]
) -> Mapping[str, Any]:
    """What caddy is told (its own JSON): one TLS server for these names, its own authority or a public one, nothing on
    port 80, no remote control, no log of who asked for what."""
    issuer = {"module": "internal"} if certificate == "own" else {"module": "acme"}
    hand_on = {
        "handler": "reverse_proxy",
        "upstreams": [{"dial": f"127.0.0.1:{behind_port}"}],
        "transport": {"protocol": "http", "keep_alive": {"idle_timeout": f"{IDLE_S}s"}},
        # Who asks is told by whoever asks us, never by what he says of himself.
        "headers": {"request": {"set": {"X-Forwarded-For": ["{http.request.remote.host}"]}}},
    }
    far = {"Strict-Transport-Security": ["max-age=31536000"]} if certificate == "public" else {}
    return {
        "admin": {"disabled": True},
        "storage": {"module": "file_system", "root": str(folder / "caddy")},
        "logging": {"logs": {"default": {"level": "ERROR"}}},
        "apps": {
            "http": {
                "http_port": 0,
                "https_port": https_port,
                "servers": {
                    "floor": {
                        "listen": [f":{https_port}"],
                        "automatic_https": {"disable_redirects": True},
                        "routes": [
                            {
                                "match": [{"host": list(names)}],
                                "handle": [{"handler": "headers", "response": {"set": far}}, hand_on],
                                "terminal": True,
                            }
                        ],
                        # By its address a browser names nobody: the certificate for that is the first one's.
                        "tls_connection_policies": [{"default_sni": names[0]}],
                    }
                },
            },
            "pki": {"certificate_authorities": {"local": {"install_trust": False}}},
            "tls": {
                "certificates": {"automate": list(names)},
                "automation": {"policies": [{"subjects": list(names), "issuers": [issuer]}]},
            },
        },
    }


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


def named(names: Sequence[str]) -> str:
    """How a name stands in an address."""
    return f"[{names[0]}]" if is_address(names[0]) and ":" in names[0] else names[0]
