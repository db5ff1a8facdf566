"""Write the codes of all messages as types: a code that the catalogue has not does not compile.

write_codes.py PYTHON_STUB TYPESCRIPT
"""

from __future__ import annotations

import sys
from pathlib import Path

from fluent.syntax import FluentParser, ast

CATALOGUE = Path(__file__).parents[1] / "src" / "metrion" / "voice" / "en.ftl"


def codes() -> list[str]:
    """Of all messages, in the order of the catalogue."""
    found = FluentParser().parse(CATALOGUE.read_text("utf-8")).body
    return [entry.id.name for entry in found if isinstance(entry, ast.Message)]


def main() -> None:
    """Write both."""
    python, typescript = map(Path, sys.argv[1:])
    listed = codes()
    python.write_text(
        "from typing import Literal, TypeAlias\n\nMessageCode: TypeAlias = Literal[\n"
        + "".join(f'    "{code}",\n' for code in listed)
        + "]\n",
        "utf-8",
    )
    members = "\n".join(f'  | "{code}"' for code in listed)
    typescript.write_text(f"export type MessageCode =\n{members};\n", "utf-8")


if __name__ == "__main__":
    main()
