"""What a start command says to whoever started it."""

import sys


def say(words: str) -> None:
    print(f"libella: {words}", flush=True)


def refuse(words: str) -> int:
    """Say why it does not start; the exit code."""
    print(f"libella: {words}", file=sys.stderr, flush=True)
    return 1
