"""Lengths that were typed in feet before a lesson knew its units stand as typed; what was typed in metres stays."""

import importlib

import pytest

typed = importlib.import_module("libella.store.migrations.versions.0045_units_of_a_lesson").typed


@pytest.mark.parametrize(
    ("kept", "as_typed"),
    [
        (1.829, 6 * 0.3048),
        (4.572, 4.572),
        (4.5721, 15 * 0.3048),
        (0.00318, 0.0254 / 8),
        (0.06033, 2.375 * 0.0254),
        # Round in metres: nobody typed it in feet.
        *((it, it) for it in (1.83, 2.5, 0.35, 0.127, 0.063, 0.0)),
        # Neither: computed.
        (1.8317, 1.8317),
        (0.0627, 0.0627),
    ],
)
def test_a_length_stands_as_it_was_typed(kept, as_typed):
    assert typed(kept) == pytest.approx(as_typed, abs=1e-12)
