import { Popover } from "antd";
import { Link, useLocation } from "react-router";

import { useShow } from "./settings";

const PLACES = [
  ["/", "Notebook"],
  ["/instruments", "Instruments"],
  ["/words", "Words & care"],
  ["/settings", "Settings"],
] as const;

/** The place that an address belongs to: sheets lie in the notebook. */
function placeOf(path: string): string {
  return PLACES.find(([to]) => to !== "/" && path.startsWith(to))?.[0] ?? "/";
}

/** The places as marks on a rule. */
export function Header() {
  const show = useShow();
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
      <Popover
        trigger="click"
        placement="bottomRight"
        content={
          <div className="convention-words">
            <p>One look is good to half a least count either way.</p>
            <p>Of that limit and half the range of the readings, the larger counts.</p>
            <p>{show("The uncertainty is given with one figure: 0.06, not 0.055.")}</p>
          </div>
        }
      >
        <button type="button" className="convention-chip">
          convention <b>half division</b>
        </button>
      </Popover>
    </header>
  );
}
