"""How much of the code is tests: lines that are neither empty nor comments, Python and TypeScript.

It belongs between a quarter and a third; outside of that the exit status is 1.
"""

from __future__ import annotations

import sys
from pathlib import Path

ROOT = Path(__file__).parents[1]
WHERE = {
    "src": "*.py", "tests": "*.py", "scripts": "*.py", "benchmarks": "*.py",
    "frontend/src": "*.ts*",
}  # fmt: skip
GENERATED = {"schema.d.ts", "codes.d.ts"}


def is_test(path: Path) -> bool:
    """Whether a file holds tests, or helps them."""
    return "tests" in path.relative_to(ROOT).parts or ".test." in path.name


def lines(path: Path) -> int:
    """Lines with code."""
    text = (line.strip() for line in path.read_text("utf-8").splitlines())
    return sum(1 for line in text if line and not line.startswith(("#", "//")))


def main() -> None:
    """Print the share."""
    files = [
        path
        for folder, pattern in WHERE.items()
        for path in sorted((ROOT / folder).rglob(pattern))
        if path.name not in GENERATED and "node_modules" not in path.parts
    ]
    tests = sum(map(lines, filter(is_test, files)))
    whole = sum(map(lines, files))
    share = tests / whole
    print(f"tests: {tests} of {whole} lines, {100 * share:.1f} %")
    if not 1 / 4 <= share <= 1 / 3:
        sys.exit("the share of tests belongs between a quarter and a third")


if __name__ == "__main__":
    main()
