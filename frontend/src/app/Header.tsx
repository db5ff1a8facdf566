import { Popover } from "antd";
import { Link, useLocation } from "react-router";

import { useConventions, useSettingsQuery } from "../api";
import { say } from "../voice";

const PLACES = () =>
  [
    ["/", say("app-notebook")],
    ["/instruments", say("app-instruments")],
    ["/planner", say("planner-planner")],
    ["/words", say("app-words-care")],
    ["/settings", say("app-settings")],
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

/** The convention of the notebook, and what it does. */
function ConventionChip() {
  const { data: settings } = useSettingsQuery();
  const { data: conventions } = useConventions();
  const own = conventions?.find(({ id }) => id === settings?.convention);
  const words = (
    <div className="convention-words">
      {own?.words.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
      <Link to="/settings">{say("app-choose-another")}</Link>
    </div>
  );
  return (
    <Popover trigger="click" placement="bottomRight" content={words}>
      <button type="button" className="convention-chip">
        {say("app-convention")} <b>{own?.name.toLowerCase() ?? "…"}</b>
      </button>
    </Popover>
  );
}
