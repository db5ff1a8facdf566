"""Whether every recorded logbook is answered as it was; `make test` looks at some of them.

python -m tests.hold.recorded
"""

from __future__ import annotations

from tests.recorded.record import LOGBOOKS, compared


def differing() -> str:
    """How many answers differ from the record, in words."""
    found = [str(one) for one in compared(LOGBOOKS)]
    return "all as recorded" if not found else f"{len(found)} differ, the first {found[0][:200]}"


if __name__ == "__main__":
    print(differing())
