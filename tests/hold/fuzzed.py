"""The API, asked what its own description allows and what it does not.

python -m tests.hold.fuzzed 100
"""

from __future__ import annotations

import re
import subprocess
import sys
import tempfile
from dataclasses import dataclass
from pathlib import Path

from tests.server import running

_CONFIG = Path(__file__).with_name("schemathesis.toml")
_CHECKS = (
    "not_a_server_error", "status_code_conformance", "content_type_conformance",
    "response_schema_conformance",
)  # fmt: skip


@dataclass(frozen=True)
class Fuzzed:
    """What came of it: requests made, those answered as described, and all that was said."""

    generated: int
    passed: int
    said: str

    @property
    def row(self) -> str:
        """As a row of the table."""
        wrong = self.generated - self.passed
        return f"{self.generated} requests: {wrong} x 5xx or outside the description"


def fuzzed(examples: int, *phases: str, seed: int = 1) -> Fuzzed:
    """Ask a server on demo data; so many examples of each operation."""
    with tempfile.TemporaryDirectory() as folder, running(Path(folder)) as address:
        done = subprocess.run(
            [Path(sys.executable).with_name("schemathesis"), "--config-file", _CONFIG, "run",
             f"{address}/api/openapi.json", "--checks", ",".join(_CHECKS), "--phases",
             ",".join(phases), "--max-examples", str(examples), "--seed", str(seed),
             "--generation-database", "none", "--warnings", "off", "--no-color"],
            capture_output=True, text=True, check=False, cwd=folder,
        )  # fmt: skip
    found = re.search(r"(\d+) generated(?:, (\d+) passed)?", done.stdout)
    assert found, done.stdout + done.stderr
    return Fuzzed(int(found[1]), int(found[2] or 0), done.stdout)


if __name__ == "__main__":
    outcome = fuzzed(int(sys.argv[1]), "coverage", "fuzzing")
    print(outcome.row)
    if outcome.passed < outcome.generated:
        print(outcome.said)
