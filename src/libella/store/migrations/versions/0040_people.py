"""Who may come in, by role; the sign-ins that stand; and who did what, written by the database with every write.

Revision ID: 0040
Revises: 0039
"""

from typing import Any

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0040"
down_revision = "0039"

RECORDED = (
    "studio", "golfer", "golf_round", "line_join", "noted_change", "lesson", "station", "saved_station",
    "second_reading", "tool_check", "block", "comparison", "reading", "reading_mark", "set_up", "set_up_photo",
    "aim_set", "set_down", "sight_test", "sight_trial", "first_look", "eye_take", "sensor", "sensor_zero",
    "stroke", "stroke_tap", "finding_answer", "band_version", "opinion_version", "drill", "drill_run",
    "practice_plan", "set_up_card", "quick_check", "file_import", "account",
)  # fmt: skip
"""Tables of which every write is told with who did it."""


def _at(name: str, *columns: sa.Column, of: str | None = "account") -> None:
    keys = [sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name=f"fk_{name}_studio_id")]
    if of:
        keys = [
            sa.ForeignKeyConstraint(
                ["studio_id", f"{of}_id"], [f"{of}.studio_id", f"{of}.id"], name=f"fk_{name}_studio_id_{of}_id"
            )
        ]
    op.create_table(
        name,
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        *columns,
        *keys,
        sa.PrimaryKeyConstraint("studio_id", "id", name=f"pk_{name}"),
    )


def _id(**more: Any) -> sa.Column:
    return sa.Column("id", sa.Uuid(), nullable=False, **more)


def _account() -> sa.Column:
    return sa.Column("account_id", sa.Uuid(), nullable=False)


def _words(name: str) -> sa.Column:
    return sa.Column(name, sa.String(), nullable=False)


def _time(name: str, *, nullable: bool = False, **more: Any) -> sa.Column:
    return sa.Column(name, sa.DateTime(timezone=True), nullable=nullable, **more)


def upgrade() -> None:
    op.create_table(
        "account",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        _id(),
        _words("name"),
        _words("known_as"),
        _words("role"),
        sa.Column("golfer_id", sa.Uuid(), nullable=True),
        _words("passphrase"),
        sa.Column("preferences", JSONB(), server_default=sa.text("'{}'"), nullable=False),
        sa.Column("locked", sa.Boolean(), server_default=sa.text("false"), nullable=False),
        _time("made_at", server_default=sa.func.now()),
        sa.ForeignKeyConstraint(["studio_id"], ["studio.id"], name="fk_account_studio_id"),
        sa.ForeignKeyConstraint(
            ["studio_id", "golfer_id"], ["golfer.studio_id", "golfer.id"], name="fk_account_studio_id_golfer_id"
        ),
        sa.PrimaryKeyConstraint("studio_id", "id", name="pk_account"),
    )
    op.create_unique_constraint("uq_account_studio_id_known_as", "account", ["studio_id", "known_as"])
    op.create_index("ix_account_studio_id_golfer_id", "account", ["studio_id", "golfer_id"])
    _at(
        "sign_in", _id(), _account(), _words("token_hash"), _words("device"), _time("begun_at"), _time("seen_at"),
        _time("ended_at", nullable=True),
    )  # fmt: skip
    _at("one_time_link", _id(), _account(), _words("token_hash"), _time("until"), _time("used_at", nullable=True))
    _at("recovery_code", _id(), _account(), _words("code_hash"), _time("used_at", nullable=True))
    _at("sign_in_try", _id(), _words("name_hash"), _words("host"), _time("at"), of=None)
    _at(
        "deed", _id(server_default=sa.text("gen_random_uuid()")), _account(), _words("what"), _words("of_table"),
        sa.Column("row_id", sa.Uuid(), nullable=False), _time("at", server_default=sa.text("clock_timestamp()")),
    )  # fmt: skip
    for table, secret in (("sign_in", "token_hash"), ("one_time_link", "token_hash"), ("recovery_code", "code_hash")):
        op.create_unique_constraint(f"uq_{table}_studio_id_{secret}", table, ["studio_id", secret])
        op.create_index(f"ix_{table}_studio_id_account_id", table, ["studio_id", "account_id"])
    for column in ("name_hash", "host"):
        op.create_index(f"ix_sign_in_try_studio_id_{column}", "sign_in_try", ["studio_id", column])
    op.create_index("ix_deed_studio_id_at_id", "deed", ["studio_id", "at", "id"])
    op.create_index("ix_deed_studio_id_row_id", "deed", ["studio_id", "row_id"])
    op.create_index("ix_deed_studio_id_account_id", "deed", ["studio_id", "account_id"])
    op.execute("""
        create function told_as_deed() returns trigger language plpgsql as $$
        declare
            one jsonb := to_jsonb(case when tg_op = 'DELETE' then old else new end);
        begin
            if tg_op = 'UPDATE' and old is not distinct from new then
                return null;
            end if;
            insert into deed (studio_id, account_id, what, of_table, row_id)
            values (
                coalesce(one ->> 'studio_id', one ->> 'id')::uuid, current_setting('libella.account')::uuid,
                case tg_op when 'INSERT' then 'kept' when 'UPDATE' then 'changed' else 'deleted' end,
                tg_table_name, (one ->> 'id')::uuid
            );
            return null;
        end $$
    """)
    for table in RECORDED:
        op.execute(f"""
            create trigger told_as_deed after insert or update or delete on {table}
            for each row when (coalesce(current_setting('libella.account', true), '') <> '')
            execute function told_as_deed()
        """)


def downgrade() -> None:
    for table in RECORDED:
        op.execute(f"drop trigger told_as_deed on {table}")
    op.execute("drop function told_as_deed()")
    for table in ("deed", "sign_in_try", "recovery_code", "one_time_link", "sign_in", "account"):
        op.drop_table(table)
