"""The work on a file, in words: why it ended as it did."""

from typing import Literal, Protocol


class _Found(Protocol):
    @property
    def refused(self) -> str: ...


class _Work(Protocol):
    @property
    def phase(self) -> Literal["checking", "checked", "taking", "done", "stopped", "failed"] | None: ...
    @property
    def found(self) -> _Found: ...


def work_words(it: _Work) -> str:
    """Why the work stopped or failed; empty where it goes on or is done."""
    if it.phase == "stopped":
        return "Stopped; nothing of it was kept."
    if it.phase != "failed":
        return ""
    if it.found.refused:
        return (
            "The file falls apart into more blocks than anybody putts: look at what is read as condition, block and "
            "distance. Nothing of it was kept."
        )
    return "It could not be kept just now; nothing of it was. Try again."
