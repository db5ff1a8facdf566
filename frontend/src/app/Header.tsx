import { Popover } from "antd";
import { Link, useLocation } from "react-router";

import { useConventions, useSettingsQuery } from "../api";
import { useShow } from "./settings";

const PLACES = [
  ["/", "Notebook"],
  ["/instruments", "Instruments"],
  ["/planner", "Planner"],
  ["/words", "Words & care"],
  ["/settings", "Settings"],
] as const;

/** The place that an address belongs to: sheets lie in the notebook. */
function placeOf(path: string): string {
  return PLACES.find(([to]) => to !== "/" && path.startsWith(to))?.[0] ?? "/";
}

/** The places as marks on a rule. */
export function Header() {
  const here = placeOf(useLocation().pathname);
  return (
    <header className="header">
      <Link to="/" className="brand">
        Metrion
      </Link>
      <nav aria-label="places">
        {PLACES.map(([to, name]) => (
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
  const show = useShow();
  const { data: settings } = useSettingsQuery();
  const { data: conventions } = useConventions();
  const own = conventions?.find(({ id }) => id === settings?.convention);
  const words = (
    <div className="convention-words">
      {own?.words.map((sentence) => (
        <p key={sentence}>{show(sentence)}</p>
      ))}
      <Link to="/settings">Choose another</Link>
    </div>
  );
  return (
    <Popover trigger="click" placement="bottomRight" content={words}>
      <button type="button" className="convention-chip">
        convention <b>{own?.name.toLowerCase() ?? "…"}</b>
      </button>
    </Popover>
  );
}
