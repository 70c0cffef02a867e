"""In what a block or a series was not as usual is told by factors; a name decides nothing any more.

What comparisons wrote as names becomes what it meant; a set-up named in the lesson's other steps is that set-up. What a
coach typed alone can't be told apart, and is kept as unsorted until somebody says what it meant.

Revision ID: 0026
Revises: 0025
"""

import sqlalchemy as sa
from alembic import op
from sqlalchemy.dialects.postgresql import JSONB

revision = "0026"
down_revision = "0025"
# Going back, what was told by factors stands in the names again.
RENAMED = {("block", "factors"): "condition", ("aim_set", "factors"): "set_up"}


def upgrade() -> None:
    for table in ("block", "aim_set"):
        op.add_column(table, sa.Column("factors", JSONB(), server_default=sa.text("'{}'"), nullable=False))
    for table in ("aim_set", "eye_take"):
        op.alter_column(table, "set_up", server_default=sa.text("''"))
    for table, column in (("aim_set", "set_up"), ("eye_take", "set_up"), ("sight_test", "condition")):
        op.execute(f"update {table} set {column} = '' where lower(trim({column})) = 'as usual'")
    # Comparisons of lengths named each condition by its length: what is laid tells it.
    op.execute("""
        with lengths as (
            select studio_id, comparison_id, count(*) = count(distinct round(distance_m::numeric, 2)) as differ
            from block where comparison_id is not null group by 1, 2
        )
        update block set factors = case
            when lower(trim(block.condition)) in ('as usual', '') then '{}'::jsonb
            when block.condition in ('with the aid', 'without it') then '{}'::jsonb
            when block.condition = 'other side of the hole' then '{"hole_side": "other"}'::jsonb
            when (select differ from lengths where lengths.studio_id = block.studio_id
                  and lengths.comparison_id = block.comparison_id) then '{}'::jsonb
            when block.condition = 'no line on the ball' then '{"cue": "blank"}'::jsonb
            when block.condition = 'wide base' or exists (
                select 1 from eye_take where eye_take.studio_id = block.studio_id
                and eye_take.lesson_id = block.lesson_id and eye_take.set_up = block.condition
            ) or exists (
                select 1 from aim_set where aim_set.studio_id = block.studio_id
                and aim_set.lesson_id = block.lesson_id and aim_set.set_up = block.condition
            ) then jsonb_build_object('set_up', block.condition)
            when block.comparison_id is not null then jsonb_build_object('trial', block.condition)
            else jsonb_build_object('unsorted', block.condition)
        end
    """)
    # Joined lines are known by what they are lines of.
    for column in ("first", "second"):
        op.execute(f"""
            update line_join set {column} = case split_part({column}, '|', 1)
                when 'eyes' then 'eyes_inside' when 'ball_mark' then 'mark' when 'face_impact' then 'impact'
                when 'felt' then 'feels_straight' else split_part({column}, '|', 1)
            end || '|' || concat_ws('&',
                nullif(case when lower(trim(split_part({column}, '|', 3))) in ('', 'as usual') then ''
                     when split_part({column}, '|', 1) in ('start', 'face_impact', 'path', 'felt')
                     then 'unsorted=' || split_part({column}, '|', 3)
                     else 'set_up=' || split_part({column}, '|', 3) end, ''),
                case when split_part({column}, '|', 2) = 'guided' then 'guide=in_view' end)
        """)


def downgrade() -> None:
    for table, column in (("block", "condition"), ("aim_set", "set_up")):
        op.execute(f"""
            update {table} set {column} = (select string_agg(value, ', ') from jsonb_each_text(factors))
            where factors <> '{{}}' and lower(trim({column})) in ('', 'as usual')
        """)
    for table, column in (("aim_set", "set_up"), ("eye_take", "set_up"), ("sight_test", "condition")):
        op.execute(f"update {table} set {column} = 'as usual' where {column} = ''")
    for table in ("aim_set", "eye_take"):
        op.alter_column(table, "set_up", server_default=sa.text("'as usual'"))
    for table in ("block", "aim_set"):
        op.drop_column(table, "factors")
