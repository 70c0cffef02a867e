"""Signing in at argon2's recommended cost, through TLS; and what knowing who asks adds to a request."""

import ssl
import time

import httpx2
import numpy as np

from libella.api.watch.front import AUTHORITY
from libella.store.server.cluster import Cluster

from ..conftest import new_database, open_folder
from ..served_floor import Floor

TIMES = 60
PASSPHRASE = "kettle harbour willow-9 plinth"


def main() -> None:
    with open_folder() as folder, Cluster(folder / "data").running():
        floor = Floor(new_database(Cluster(folder / "data")), folder)
        floor.start()
        try:
            token = floor.first_link().partition("#")[2]
            trusted = ssl.create_default_context(cafile=str(folder / AUTHORITY))
            with httpx2.Client(base_url=floor.address, timeout=30, verify=trusted) as client:
                measure(client, token)
        finally:
            floor.stop()


def measure(client: httpx2.Client, token: str) -> None:
    client.post("/api/links/take", json={"token": token, "passphrase": PASSPHRASE}).raise_for_status()
    told = [timed(client, "PUT", "/api/session", {"name": "owner", "passphrase": PASSPHRASE}) for _ in range(TIMES)]
    print(f"sign-in: {p95(told):.0f} ms p95 (asked: 1000)")
    known = [timed(client, "GET", "/api/golfers") for _ in range(4 * TIMES)]
    anybody = [timed(client, "GET", "/api/health") for _ in range(4 * TIMES)]
    print(f"golfers, signed in: {p95(known):.1f} ms p95; health, asked by anybody: {p95(anybody):.1f} ms p95")


def timed(client: httpx2.Client, method: str, path: str, body: object = None) -> float:
    began = time.perf_counter()
    client.request(method, path, json=body).raise_for_status()
    return (time.perf_counter() - began) * 1000


def p95(told: list[float]) -> float:
    return float(np.percentile(told, 95))


if __name__ == "__main__":
    main()
