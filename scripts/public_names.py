"""No public name of a class has two meanings: told are those that several modules define."""

from __future__ import annotations

import ast
import sys
from collections import defaultdict
from pathlib import Path

SOURCE = Path(__file__).parents[1] / "src" / "metrion"


def defined(tree: ast.Module) -> set[str]:
    """The public classes and type aliases of a module."""
    found = set()
    for node in tree.body:
        if isinstance(node, ast.ClassDef):
            found.add(node.name)
        elif isinstance(node, ast.Assign | ast.AnnAssign):
            targets = node.targets if isinstance(node, ast.Assign) else [node.target]
            found |= {one.id for one in targets if isinstance(one, ast.Name)}
    return {name for name in found if name[0].isupper() and not name.isupper()}


def ambiguous() -> dict[str, list[str]]:
    """Names with the modules that define them, where there are several."""
    found: dict[str, list[str]] = defaultdict(list)
    for path in sorted(SOURCE.rglob("*.py")):
        for name in defined(ast.parse(path.read_text(encoding="utf-8"))):
            found[name].append(str(path.relative_to(SOURCE)))
    return {name: where for name, where in sorted(found.items()) if len(where) > 1}


def main() -> None:
    """Print them, and end with 1 if there are any."""
    found = ambiguous()
    for name, where in found.items():
        print(f"{name}: {', '.join(where)}")
    sys.exit(bool(found))


if __name__ == "__main__":
    main()
