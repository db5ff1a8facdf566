"""How many of the changed lines of the core the tests notice, and where they notice least.

Run by ``make mutants`` on what ``mutmut`` wrote into ``mutants``.
"""

import json
from collections import Counter
from pathlib import Path

CORE = Path("mutants/src/metrion/core")
NOTICED = {1, 3, 24, 36, -24, -9}
"""What a test run ends with that fails, or that never comes to its end."""


def main() -> None:
    """Print the share for each module, the lowest first, and that of all."""
    noticed, all_of = Counter[str](), Counter[str]()
    for found in CORE.rglob("*.meta"):
        module = str(found.relative_to(CORE)).removesuffix(".py.meta")
        codes = json.loads(found.read_text())["exit_code_by_key"].values()
        tried = [code for code in codes if code is not None]
        all_of[module] = len(tried)
        noticed[module] = sum(code in NOTICED for code in tried)
    for module in sorted(all_of, key=lambda one: noticed[one] / max(all_of[one], 1)):
        if all_of[module]:
            share = noticed[module] / all_of[module]
            print(f"{share:6.1%}  {noticed[module]:4} of {all_of[module]:4}  {module}")
    whole, seen = sum(all_of.values()), sum(noticed.values())
    print(f"{seen / max(whole, 1):6.1%}  {seen:4} of {whole:4}  in all")


if __name__ == "__main__":
    main()
