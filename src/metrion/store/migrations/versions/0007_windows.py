"""Which window made a command."""

import sqlalchemy as sa
from alembic import op

revision = "0007"
down_revision = "0006"
branch_labels = None
depends_on = None


def upgrade() -> None:
    op.add_column("commands", sa.Column("window", sa.Text(), nullable=False, server_default=""))
