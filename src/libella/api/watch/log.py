"""The log: a line an answer, as words or as JSON, without anything that was entered or names anybody.

What is told of a request is its method, its route's template, its status and how long it took; addresses hold ids, what
is asked for holds words, bodies hold people. Of a fault its kind is told, and where in the program it was.
"""

import json
import logging
import sys
from datetime import UTC, datetime
from typing import Final, Literal

Form = Literal["words", "json"]
FACTS: Final = "facts"
_log: Final = logging.getLogger("libella.answers")


class JsonLines(logging.Formatter):
    """One JSON object a line."""

    def format(self, record: logging.LogRecord) -> str:
        told: dict[str, object] = {
            "at": datetime.fromtimestamp(record.created, UTC).isoformat(timespec="milliseconds"),
            "level": record.levelname.lower(),
            "of": record.name,
            "process": record.process,
            "says": record.getMessage(),
        }
        told |= getattr(record, FACTS, {})
        if record.exc_info and record.exc_info[0] is not None:
            # Of a fault its kind alone: what it says may hold what was entered.
            told["fault"] = record.exc_info[0].__name__
        return json.dumps(told, ensure_ascii=False)


def set_up_log(form: Form) -> None:
    """Say everything on the error output; answers only as JSON, where something reads them."""
    handler = logging.StreamHandler(sys.stderr)
    handler.setFormatter(JsonLines() if form == "json" else logging.Formatter("%(message)s"))
    logging.basicConfig(level=logging.WARNING, handlers=[handler], force=True)
    _log.setLevel(logging.INFO if form == "json" else logging.WARNING)


def answered(method: str, route: str, status: int, seconds: float, request: str) -> None:
    """Tell of an answer; `request`: its own random name, which the answer carries too."""
    facts = {"method": method, "route": route, "status": status, "ms": round(1000 * seconds, 1), "request": request}
    _log.info("answered", extra={FACTS: facts})
