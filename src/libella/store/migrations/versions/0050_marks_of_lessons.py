"""A mark of every lesson beside its golfer's: what is written in one lesson leaves what was said of earlier ones as it
is.

Whatever is told of a lesson leans on its golfer, on that lesson and on those before it, never on one after it. So three
marks are raised: a lesson's own, by what stands in it; `own`, a golfer's, by what stands in no lesson; and the golfer's
`revision` by both. What is told of a lesson holds as long as `own` and the marks of the lessons up to it, added, say the
same. Each grows by itself, taken while its row is held, so that their sum grows with every write whoever commits first.
A lesson that is moved, voided or given to another golfer leaves that sum, or its place in it: then `own` grows by more
than any lesson's mark can be.

Revision ID: 0050
Revises: 0049
"""

import sqlalchemy as sa
from alembic import op

revision = "0050"
down_revision = "0049"

_VIA_LESSON = "join lesson l on l.studio_id = c.studio_id and l.id = c.lesson_id"
_THROUGH = "join {0} t on t.studio_id = c.studio_id and t.id = c.{1} join lesson l on l.studio_id = t.studio_id and l.id = t.lesson_id"
_IN_A_LESSON = {
    **dict.fromkeys(
        (
            "station",
            "block",
            "comparison",
            "sight_test",
            "eye_take",
            "set_up",
            "aim_set",
            "stroke",
            "first_look",
            "tool_check",
            "finding_answer",
        ),
        _VIA_LESSON,
    ),
    "reading": _THROUGH.format("block", "block_id"),
    "sight_trial": _THROUGH.format("sight_test", "test_id"),
    "set_down": _THROUGH.format("aim_set", "aim_set_id"),
}
"""Tables whose rows are of one lesson, by function, with the way there."""
_ALWAYS = frozenset(("finding_answer", "noted_change", "drill_run", "practice_plan", "band_version", "studio"))
"""Functions that no long transaction keeps quiet."""
_OF_A_GOLFER = {
    "golfer": "select distinct c.studio_id, c.id from changed c",
    # What a lesson found and a golfer carries along is offered in every lesson of his.
    "set_up_card": f"select distinct l.studio_id, l.golfer_id from changed c {_VIA_LESSON}",
    "quick_check": f"select distinct l.studio_id, l.golfer_id from changed c {_VIA_LESSON}",
    # By its taps a device's clock is known, for the lessons before as well.
    "sensor": f"select distinct l.studio_id, l.golfer_id from changed c {_VIA_LESSON}",
    "sensor_zero": f"select distinct l.studio_id, l.golfer_id from changed c {_THROUGH.format('sensor', 'sensor_id')}",
    "noted_change": "select distinct c.studio_id, c.golfer_id from changed c",
    "drill_run": "select distinct c.studio_id, c.golfer_id from changed c",
    "practice_plan": "select distinct c.studio_id, c.golfer_id from changed c",
    "band_version": "select g.studio_id, g.id from golfer g where g.studio_id in (select studio_id from changed)",
    "studio": "select g.studio_id, g.id from golfer g where g.studio_id = new.id",
}
"""Functions of tables whose rows are of no one lesson, with whom they are about."""
_QUIET = """
    if current_setting('libella.quiet', true) = 'on' then
        return null;
    end if;
"""


def _golfers(of: str, by: str) -> str:
    """Raise golfers' marks, each once; `own` by so many times the newest."""
    return f"""
        insert into golfer_revision (studio_id, golfer_id, revision, own)
            select it.studio_id, it.golfer_id, nextval('revision'), ({by}) * nextval('revision')
            from ({of} order by 1, 2) it
            on conflict (studio_id, golfer_id) do update set
                revision = nextval('revision'), own = golfer_revision.own + excluded.own;
    """


def _lessons(of: str) -> str:
    """Raise lessons' marks, each once."""
    return f"""
        insert into lesson_revision (studio_id, lesson_id, revision)
            select it.studio_id, it.lesson_id, nextval('revision') from ({of} order by 1, 2) it
            on conflict (studio_id, lesson_id) do update set revision = nextval('revision');
    """


def _function(name: str, body: str) -> None:
    quiet = "" if name in _ALWAYS else _QUIET
    op.execute(f"""
        create or replace function touched_{name}() returns trigger language plpgsql as $$
        begin {quiet} {body} return null;
        end $$
    """)


def upgrade() -> None:
    op.add_column("golfer_revision", sa.Column("own", sa.BigInteger(), nullable=False, server_default="0"))
    op.create_table(
        "lesson_revision",
        sa.Column("studio_id", sa.Uuid(), nullable=False),
        sa.Column("lesson_id", sa.Uuid(), nullable=False),
        sa.Column("revision", sa.BigInteger(), nullable=False),
        sa.ForeignKeyConstraint(
            ["studio_id", "lesson_id"],
            ["lesson.studio_id", "lesson.id"],
            name="fk_lesson_revision_studio_id_lesson_id",
            ondelete="CASCADE",
        ),
        sa.PrimaryKeyConstraint("studio_id", "lesson_id", name="pk_lesson_revision"),
    )
    for name, way in _IN_A_LESSON.items():
        lessons = _lessons(f"select distinct l.studio_id, l.id as lesson_id from changed c {way}")
        golfers = f"select distinct l.studio_id, l.golfer_id from changed c {way}"
        _function(name, lessons + _golfers(golfers, "0"))
    for name, whose in _OF_A_GOLFER.items():
        _function(name, _golfers(f"select * from ({whose}) one (studio_id, golfer_id)", "1"))
    _of_lessons()
    op.execute("delete from kept_answer")


def _of_lessons() -> None:
    """A lesson's own row: by what it says of itself, its own mark; by its place among the others, its golfer's."""
    itself = _lessons("select distinct c.studio_id, c.id as lesson_id from changed c")
    whose = "select distinct c.studio_id, c.golfer_id from changed c"
    moved = """
        select s.studio_id, s.golfer_id, count(*) as times from changed c
            join before b on b.studio_id = c.studio_id and b.id = c.id
            cross join lateral (values (c.studio_id, c.golfer_id), (b.studio_id, b.golfer_id)) s (studio_id, golfer_id)
            where (c.golfer_id, c.started_at, c.voided_at, c.hand) is distinct from
                (b.golfer_id, b.started_at, b.voided_at, b.hand)
            group by 1, 2
    """
    _function("lesson", itself + _golfers(whose, "0"))
    _function("lesson_again", itself + _golfers(whose, "0") + _golfers(moved, "it.times"))
    op.execute("drop trigger touched_by_update on lesson")
    op.execute("""
        create trigger touched_by_update after update on lesson referencing new table as changed old table as before
        for each statement execute function touched_lesson_again()
    """)


def downgrade() -> None:
    op.execute("drop trigger touched_by_update on lesson")
    op.execute("drop function touched_lesson_again()")
    op.execute("""
        create trigger touched_by_update after update on lesson referencing new table as changed
        for each statement execute function touched_lesson()
    """)
    ways = {
        name: f"select distinct l.studio_id, l.golfer_id from changed c {way}" for name, way in _IN_A_LESSON.items()
    }
    ways["lesson"] = "select distinct c.studio_id, c.golfer_id from changed c"
    for name, whose in (ways | _OF_A_GOLFER).items():
        _function(
            name,
            f"""
            insert into golfer_revision (studio_id, golfer_id, revision)
                select it.studio_id, it.golfer_id, nextval('revision')
                from (select * from ({whose}) one (studio_id, golfer_id) order by 1, 2) it
                on conflict (studio_id, golfer_id) do update set revision = excluded.revision;
            """,
        )
    op.drop_table("lesson_revision")
    op.drop_column("golfer_revision", "own")
