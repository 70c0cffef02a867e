"""The units of a lesson's papers; and lengths that were typed in feet and lost a trace on their way stand as typed again.

Revision ID: 0045
Revises: 0044
"""

from collections.abc import Iterator
from typing import Final

import sqlalchemy as sa
from alembic import op

revision = "0045"
down_revision = "0044"

_TABLES: Final = ("station", "saved_station")
_WHOLE: Final = ("distance_m", "past_m")
_INCH_M: Final = 0.0254
_OFF_M: Final = 1e-3
"""How far what is kept may be off what was typed."""
_STEP_OFF_M: Final = 1e-5
"""The same of what was stepped by an eighth of an inch, which was rounded to a hundredth of a millimetre."""


def upgrade() -> None:
    op.add_column("lesson", sa.Column("units", sa.String(), nullable=False, server_default="metric"))
    bound = op.get_bind()
    for table in _TABLES:
        rows = bound.execute(sa.text(f"select studio_id, id, distance_m, past_m, rig_sizes_m from {table}")).mappings()
        for row in rows.all():
            told = {name: typed(row[name]) for name in _WHOLE}
            sizes = {name: typed(it) if name.endswith("_m") else it for name, it in row["rig_sizes_m"].items()}
            if any(told[name] != row[name] for name in _WHOLE) or sizes != row["rig_sizes_m"]:
                bound.execute(
                    sa.text(
                        f"update {table} set distance_m = :distance_m, past_m = :past_m, rig_sizes_m = :sizes "
                        "where studio_id = :studio_id and id = :id"
                    ).bindparams(sa.bindparam("sizes", type_=sa.JSON())),
                    told | {"sizes": sizes, "studio_id": row["studio_id"], "id": row["id"]},
                )


def downgrade() -> None:
    op.drop_column("lesson", "units")


def typed(length_m: float) -> float:
    """A length as it was typed in feet or inches, where it is that to a millimetre and round in no metric unit; else as
    it is kept."""
    return next((it for it in _in_feet(length_m)), length_m)


def _in_feet(length_m: float) -> Iterator[float]:
    if _is(length_m, 1e-2, 1e-9) or (length_m < 1 and _is(length_m, 1e-3, 1e-9)):
        return
    if length_m >= 0.6 and _is(length_m, _INCH_M, _OFF_M):
        yield round(length_m / _INCH_M) * _INCH_M
    if _is(length_m, _INCH_M / 8, _STEP_OFF_M):
        yield round(length_m / _INCH_M * 8) * _INCH_M / 8


def _is(length_m: float, one_m: float, off_m: float) -> bool:
    return abs(length_m - round(length_m / one_m) * one_m) <= off_m
