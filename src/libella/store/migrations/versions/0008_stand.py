"""The set-up, the perception map, the kept card and the daily check"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects import postgresql

revision = "0008"
down_revision = "0007"
branch_labels = None
depends_on = None

_JSON = postgresql.JSONB()


def _table(name: str, *columns: sa.Column, refers: dict[str, str], at: str, index: tuple[str, ...]) -> None:
    op.create_table(
        name,
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("id", sa.Uuid(), nullable=False),
        *columns,
        sa.Column(at, sa.DateTime(timezone=True), nullable=False),
        *(
            sa.ForeignKeyConstraint(
                ["studio_id", column], [f"{table}.studio_id", f"{table}.id"], name=f"fk_{name}_studio_id_{column}"
            )
            for column, table in refers.items()
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name=f"pk_{name}"),
    )
    op.create_index(f"ix_{name}_{'_'.join(index)}", name, list(index))


def _recorded() -> sa.Column:
    return sa.Column("recorded_at", sa.DateTime(timezone=True), server_default=sa.text("now()"), nullable=False)


def _voided() -> sa.Column:
    return sa.Column("voided", sa.Boolean(), server_default=sa.text("false"), nullable=False)


def upgrade() -> None:
    op.add_column("studio", sa.Column("set_up_wanted", _JSON, nullable=True))
    op.add_column("golfer", sa.Column("sighting_eye", sa.String(), server_default=sa.text("''"), nullable=False))
    op.add_column("eye_take", sa.Column("reread_of", sa.Uuid(), nullable=True))
    for column in (
        sa.Column("toward", sa.String(), server_default=sa.text("'hole'"), nullable=False),
        sa.Column("position", _JSON, server_default=sa.text("'{}'"), nullable=False),
        sa.Column("playable", sa.Boolean(), server_default=sa.text("true"), nullable=False),
        sa.Column("comfort", sa.Integer(), nullable=True),
        sa.Column("trust", sa.Integer(), nullable=True),
    ):
        op.add_column("sight_test", column)
    _table(
        "set_up",
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("values", _JSON, nullable=False),
        sa.Column("again_of", sa.Uuid(), nullable=True),
        _recorded(),
        _voided(),
        refers={"lesson_id": "lesson"},
        at="taken_at",
        index=("studio_id", "lesson_id", "taken_at", "id"),
    )
    _table(
        "set_up_card",
        sa.Column("golfer_id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("note", sa.String(), nullable=False),
        sa.Column("raw", _JSON, nullable=False),
        sa.Column("put_away_at", sa.DateTime(timezone=True), nullable=True),
        refers={"golfer_id": "golfer", "lesson_id": "lesson"},
        at="kept_at",
        index=("studio_id", "golfer_id", "kept_at", "id"),
    )
    _table(
        "quick_check",
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("card_id", sa.Uuid(), nullable=False),
        sa.Column("raw", _JSON, nullable=False),
        _recorded(),
        refers={"lesson_id": "lesson", "card_id": "set_up_card"},
        at="taken_at",
        index=("studio_id", "lesson_id", "taken_at", "id"),
    )


def downgrade() -> None:
    for table in ("quick_check", "set_up_card", "set_up"):
        op.drop_table(table)
    for column in ("trust", "comfort", "playable", "position", "toward"):
        op.drop_column("sight_test", column)
    op.drop_column("eye_take", "reread_of")
    op.drop_column("golfer", "sighting_eye")
    op.drop_column("studio", "set_up_wanted")
