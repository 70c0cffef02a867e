"""Where everything the start command keeps lies."""

from pathlib import Path
from typing import Final

DATA: Final = Path(__file__).parents[3] / ".data"
STANDINS: Final = DATA / "standins"
"""A file for each stand-in that was started: see `launcher`."""
