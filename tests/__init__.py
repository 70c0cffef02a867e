"""Tests. Libella comes before all else: it says with how many threads matrices are solved."""

import libella as libella
