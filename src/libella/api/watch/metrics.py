"""What it counts, as Prometheus reads it: on a port of its own, on loopback, with nothing in it that names a person.

A route is named by its template, never by an address that was asked for.
"""

import os
from collections.abc import Iterable
from pathlib import Path
from typing import Any, Final

from prometheus_client import CollectorRegistry, Counter, Histogram, start_http_server
from prometheus_client.core import GaugeMetricFamily
from prometheus_client.multiprocess import MultiProcessCollector
from prometheus_client.registry import Collector
from sqlalchemy import Engine
from sqlalchemy.exc import SQLAlchemyError

from .state import disk_of, waiting

SHARED: Final = "PROMETHEUS_MULTIPROC_DIR"
"""The folder in which several processes count together; it has to be said before the library is read."""
_BUCKETS: Final = (0.005, 0.01, 0.025, 0.05, 0.1, 0.15, 0.3, 1.0, 3.0, 10.0)


class Metrics:
    """What one process counts of its requests."""

    def __init__(self) -> None:
        self.registry = CollectorRegistry()
        self._answers = Counter(
            "libella_answers", "Answers given.", ["method", "route", "status"], registry=self.registry
        )
        self._seconds = Histogram(
            "libella_answer_seconds",
            "From a request to its answer.",
            ["route"],
            registry=self.registry,
            buckets=_BUCKETS,
        )

    def answered(self, method: str, route: str, status: int, seconds: float) -> None:
        """Count an answer; `route`: a template."""
        self._answers.labels(method, route, str(status)).inc()
        self._seconds.labels(route).observe(seconds)


class Kept(Collector):
    """What is looked up as it is asked for: the database, long work, the disk."""

    def __init__(self, engine: Engine, kept_in: Path | None) -> None:
        self._engine = engine
        self._kept_in = kept_in

    def collect(self) -> Iterable[Any]:
        disk = disk_of(self._kept_in)
        if disk is not None:
            yield GaugeMetricFamily("libella_disk_free_bytes", "Room where it is kept.", value=disk.free)
            yield GaugeMetricFamily("libella_disk_bytes", "All of that disk.", value=disk.whole)
        try:
            with self._engine.connect() as connection:
                jobs = waiting(connection)
        except SQLAlchemyError:
            yield GaugeMetricFamily("libella_database_up", "Whether the database answers.", value=0)
            return
        yield GaugeMetricFamily("libella_database_up", "Whether the database answers.", value=1)
        told = GaugeMetricFamily("libella_jobs", "Long work, by what became of it.", labels=["status"])
        for status in ("todo", "doing", "failed"):
            told.add_metric([status], jobs.by_status.get(status, 0))
        yield told
        yield GaugeMetricFamily("libella_jobs_oldest_seconds", "How long the oldest waits.", value=jobs.oldest_s)

    def describe(self) -> Iterable[Any]:
        """Nothing before it is asked for: the database may be away as it is registered."""
        return ()


def tell_metrics(port: int, engine: Engine, kept_in: Path | None, counted: CollectorRegistry | None) -> None:
    """Answer on a port of loopback for as long as the process lives; `counted`: None where several processes count."""
    registry = counted
    if registry is None:
        registry = CollectorRegistry()
        MultiProcessCollector(registry, path=os.environ[SHARED])
    registry.register(Kept(engine, kept_in))
    start_http_server(port, addr="127.0.0.1", registry=registry)
