"""Requests of every kind the API's own description allows, and of kinds it does not: made by schemathesis."""

import contextlib
import time
from collections import Counter
from collections.abc import Iterator, Mapping
from typing import Any

import schemathesis
from fastapi import FastAPI
from hypothesis import HealthCheck, Phase, given, settings
from hypothesis.errors import Flaky, Unsatisfiable
from schemathesis import checks
from schemathesis.generation import GenerationMode

_CHECKS = (
    checks.not_a_server_error,
    checks.status_code_conformance,
    checks.response_schema_conformance,
    checks.negative_data_rejection,
)


class Asked:
    """What was sent to each operation, and what was wrong with an answer, once a kind."""

    def __init__(self, app: FastAPI, known: Mapping[str, str]) -> None:
        self._schema = schemathesis.openapi.from_asgi("/api/openapi.json", app, headers={"host": "127.0.0.1"})
        self._known = known
        self.sent: Counter[str] = Counter()
        self._faults: dict[tuple[str, str], str] = {}

    @property
    def faults(self) -> list[str]:
        return list(self._faults.values())

    def ask(self, examples: int, *, seconds: float = 1e9, seed: int = 0) -> None:
        """Ask every operation in every way, so many times each; no longer than so many seconds."""
        until = time.monotonic() + seconds
        for operation in self._operations():
            for mode in (GenerationMode.POSITIVE, GenerationMode.NEGATIVE):
                if time.monotonic() > until:
                    return
                self._ask_one(operation, mode, examples, seed)

    def _operations(self) -> Iterator[Any]:
        for result in self._schema.get_all_operations():
            yield result.ok()

    def _ask_one(self, operation: Any, mode: GenerationMode, examples: int, seed: int) -> None:
        @settings(
            max_examples=examples, deadline=None, database=None, derandomize=not seed, phases=[Phase.generate],
            suppress_health_check=list(HealthCheck),
        )  # fmt: skip
        @given(operation.as_strategy(generation_mode=mode))
        def ask(case: Any) -> None:
            self.sent[operation.label] += 1
            if mode is GenerationMode.POSITIVE:
                self._point_at_what_is_there(case)
            answer = case.call(headers={"host": "127.0.0.1"})
            try:
                case.validate_response(answer, checks=_CHECKS)
            except Exception as fault:
                if "Invalid Schema Object" in str(fault):
                    return  # the checker writes pairs (`prefixItems`) in an older way, and then refuses its own writing
                body = answer.content[:300].decode(errors="replace")
                said = f"{operation.label}: {str(fault)[:900]}\n  answered {answer.status_code} {body}"
                self._faults.setdefault((operation.label, f"{type(fault).__name__} {answer.status_code}"), said)

        # Nothing of that kind may be to be sent, or of it only very little.
        with contextlib.suppress(Unsatisfiable, Flaky):
            ask()

    def _point_at_what_is_there(self, case: Any) -> None:
        """Ids of things that are there: with ids of chance nearly everything would be answered "not found"."""
        thing = case.operation.path.split("/")[2]
        if "id" in (case.path_parameters or {}) and thing in self._known and self.sent[case.operation.label] % 3:
            case.path_parameters["id"] = self._known[thing]
        if isinstance(case.body, dict):
            for name in [it for it in case.body if it.endswith("_id")]:
                if (plural := f"{name.removesuffix('_id')}s") in self._known:
                    case.body[name] = self._known[plural]
