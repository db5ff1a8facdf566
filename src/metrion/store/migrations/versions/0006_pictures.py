"""Pictures that readings refer to."""

import sqlalchemy as sa
from alembic import op

revision = "0006"
down_revision = "0005"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.create_table(
        "pictures",
        sa.Column(
            "sheet_id", sa.Text(), sa.ForeignKey("sheets.id", ondelete="CASCADE"), primary_key=True
        ),
        sa.Column("name", sa.Text(), primary_key=True),
        sa.Column("at", sa.Text(), nullable=False),
        sa.Column("content", sa.LargeBinary(), nullable=False),
    )
