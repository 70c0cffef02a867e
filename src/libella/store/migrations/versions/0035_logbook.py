"""The words of the logbook, to be found by the beginnings of words; the newest of each kind, to be listed.

Revision ID: 0035
Revises: 0034
"""

from alembic import op

revision = "0035"
down_revision = "0034"

_WORDS = {
    "golfer": "name || ' ' || notes",
    "lesson": "place || ' ' || conditions || ' ' || sheet_note || ' ' || coalesce(complaint ->> 'said', '')",
    "noted_change": "words",
    "set_up_card": "note",
    "finding_answer": "words",
    "block": "condition",
    "set_up": "name",
}
_NEWEST = {
    "station": "laid_at",
    "block": "started_at",
    "noted_change": "made_at",
    "drill_run": "done_at",
    "practice_plan": "made_at",
    "golf_round": "played_at",
    "set_up_card": "kept_at",
    "set_up": "taken_at",
    "finding_answer": "answered_at",
}


def upgrade() -> None:
    for table, words in _WORDS.items():
        op.execute(f"create index ix_{table}_words on {table} using gin (to_tsvector('simple'::regconfig, {words}))")
    for table, at in _NEWEST.items():
        op.create_index(f"ix_{table}_studio_id_{at}_id", table, ["studio_id", at, "id"])


def downgrade() -> None:
    for table in _WORDS:
        op.execute(f"drop index ix_{table}_words")
    for table, at in _NEWEST.items():
        op.drop_index(f"ix_{table}_studio_id_{at}_id", table)
