import { Link, useLocation } from "react-router";

import { ConventionChip } from "../common/ConventionChip";
import { say } from "../voice";

const PLACES = () =>
  [
    ["/", say("app-notebook")],
    ["/instruments", say("app-instruments")],
    ["/practice", say("practice-practice")],
    ["/bench", say("bench-bench-2")],
    ["/planner", say("planner-planner")],
    ["/words", say("app-words-care")],
    ["/settings", say("app-settings")],
    ["/help", say("app-help")],
  ] as const;

/** The place that an address belongs to: sheets lie in the notebook. */
function placeOf(path: string): string {
  return PLACES().find(([to]) => to !== "/" && path.startsWith(to))?.[0] ?? "/";
}

/** The places as marks on a rule. */
export function Header() {
  const here = placeOf(useLocation().pathname);
  return (
    <header className="header">
      <Link to="/" className="brand">
        {say("app-metrion")}
      </Link>
      <nav aria-label={say("app-places")}>
        {PLACES().map(([to, name]) => (
          <Link
            key={to}
            to={to}
            className="header-place"
            aria-current={to === here ? "page" : undefined}
          >
            {name}
          </Link>
        ))}
      </nav>
      <ConventionChip />
    </header>
  );
}
