"""What was answered in practice."""

import sqlalchemy as sa
from alembic import op

revision = "0005"
down_revision = "0004"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "attempts",
        sa.Column("id", sa.Integer(), primary_key=True, autoincrement=True),
        sa.Column("exercise", sa.Text(), nullable=False, unique=True),
        sa.Column("skill", sa.Text(), nullable=False),
        sa.Column("given", sa.Text(), nullable=False),
        sa.Column("verdict", sa.Text(), nullable=False),
        sa.Column("slips", sa.Text(), nullable=False),
        sa.Column("seconds", sa.Float(), nullable=False),
        sa.Column("at", sa.Text(), nullable=False),
    )
