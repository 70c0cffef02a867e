"""Writes the guide's pages into a folder: `python -m libella.words.guide docs/guide`."""

import sys
from pathlib import Path

from .pages import pages

folder = Path(sys.argv[1])
folder.mkdir(parents=True, exist_ok=True)
for name, text in pages().items():
    (folder / name).write_text(text)
