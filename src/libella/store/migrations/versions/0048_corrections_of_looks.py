"""Sizes put right of a series of set-downs and of looks, too; of a plan its own length with them.

Revision ID: 0048
Revises: 0047
"""

import json
from collections.abc import Sequence
from typing import Any

import sqlalchemy as sa
from alembic import op

revision = "0048"
down_revision = "0047"
_NAMED = {"aim_series_id": "aim_set", "eye_take_id": "eye_take"}


def upgrade() -> None:
    op.alter_column("correction", "station_id", nullable=True)
    for column, table in _NAMED.items():
        op.add_column("correction", sa.Column(column, sa.Uuid(), nullable=True))
        op.create_foreign_key(
            f"fk_correction_studio_id_{column}",
            "correction",
            table,
            ["studio_id", column],
            ["studio_id", "id"],
        )
        op.create_index(f"ix_correction_studio_id_{column}", "correction", ["studio_id", column])
    for it in _kept():
        before, after = (_in_parts(sizes, it.rig_kind, it.distance_m) for sizes in (it.before, it.after))
        _keep(it, before | {"along": {}}, after)


def downgrade() -> None:
    op.execute("delete from correction where station_id is null")
    for it in _kept():
        _keep(it, _of_plan(it.before), _of_plan(it.after))
    for column in _NAMED:
        op.drop_column("correction", column)
    op.alter_column("correction", "station_id", nullable=False)


def _kept() -> Sequence[sa.Row[Any]]:
    return (
        op.get_bind()
        .execute(
            sa.text("""
                select c.studio_id, c.id, c.before, c.after, s.rig_kind, s.distance_m
                from correction c join station s on s.studio_id = c.studio_id and s.id = c.station_id
            """)
        )
        .all()
    )


def _keep(it: sa.Row[Any], before: dict[str, Any], after: dict[str, Any]) -> None:
    op.get_bind().execute(
        sa.text("""
            update correction set before = cast(:before as jsonb), after = cast(:after as jsonb)
            where studio_id = :studio and id = :id
        """),
        {"studio": it.studio_id, "id": it.id, "before": json.dumps(before), "after": json.dumps(after)},
    )


def _in_parts(sizes: dict[str, Any], rig_kind: str, distance_m: float) -> dict[str, Any]:
    """What was kept of a plan's sizes, as parts; its own length was not put right then."""
    laid = [{"kind": rig_kind, "sizes": sizes["rig_sizes_m"]}, *sizes["aids"]]
    parts = [{"of": "instrument", "kind": it["kind"], "sizes": it["sizes"], "v": 1} for it in laid]
    return {"parts": [{"of": "putt", "kind": "", "sizes": {"distance_m": distance_m}, "v": 1}, *parts]}


def _of_plan(told: dict[str, Any]) -> dict[str, Any]:
    _, rig, *aids = told["parts"]
    return {"rig_sizes_m": rig["sizes"], "aids": [{"kind": it["kind"], "sizes": it["sizes"], "v": 1} for it in aids]}
