"""Libella: measuring, judging and keeping what a putting coach sees."""

__version__ = "0.1.0"

import os

# The matrices here are small: one thread solves them sooner than several that wait for each other, many times over
# where something else runs beside. It counts where the library is loaded first, so it stands before all else.
os.environ.setdefault("OPENBLAS_NUM_THREADS", "1")
