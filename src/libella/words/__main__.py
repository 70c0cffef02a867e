"""Print everything Libella says, to be read aloud."""

import sys

from .aloud import page, read_aloud

sys.stdout.write(page(read_aloud()))
