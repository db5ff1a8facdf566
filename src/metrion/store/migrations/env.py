"""Alembic's entry: runs on the connection that `metrion.store.database.migrate` hands over."""

from alembic import context

from metrion.store.models import Base

context.configure(
    connection=context.config.attributes["connection"],
    target_metadata=Base.metadata,
    render_as_batch=True,
)
context.run_migrations()
