"""Where everything the start command keeps lies."""

from pathlib import Path
from typing import Final

DATA: Final = Path(__file__).parents[3] / ".data"
COUNTED: Final = DATA / "counted"
"""What several processes count together, by the port they serve."""
STANDINS: Final = DATA / "standins"
"""A file for each stand-in that was started: see `launcher`."""
