import { useEffect } from "react";
import { Link, useNavigate } from "react-router";

import type { Quantity, Sheet } from "../api";
import { say } from "../voice";
import { isEmptyBlank, isTaken } from "./useBenchKeys";

interface Props {
  sheet: Sheet;
  quantity: Quantity;
}

const folded = (text: string) => text.toLocaleLowerCase().trim().split(/\s+/).join(" ");

/** The quantities of one thing side by side, each a tap or a key away from the other's equation. */
export function OfTheThing({ sheet, quantity }: Props) {
  const navigate = useNavigate();
  const thing = folded(quantity.thing);
  const all = sheet.quantities.filter((one) => thing && folded(one.thing) === thing);
  const at = all.findIndex(({ id }) => id === quantity.id);
  const path = ({ id }: Quantity) => `/sheets/${sheet.id}/quantities/${encodeURIComponent(id)}`;
  const [before, after] = [all.at(at - 1), all[(at + 1) % all.length]];
  const back = before && path(before);
  const on = after && path(after);
  useEffect(() => {
    function onKey(event: KeyboardEvent) {
      const to = event.key === "PageDown" ? on : event.key === "PageUp" ? back : undefined;
      if (!to || (isTaken(event.target) && !isEmptyBlank(event.target))) return;
      event.preventDefault();
      void navigate(to);
    }
    window.addEventListener("keydown", onKey);
    return () => window.removeEventListener("keydown", onKey);
  }, [navigate, back, on]);
  if (all.length < 2) return null;
  return (
    <nav className="of-the-thing" aria-label={say("desk-of-the-thing", { thing: quantity.thing })}>
      {all.map((one) => (
        <Link
          key={one.id}
          to={path(one)}
          aria-current={one.id === quantity.id ? "page" : undefined}
          ref={(link) => {
            if (one.id === quantity.id)
              link?.scrollIntoView({ block: "nearest", inline: "nearest" });
          }}
        >
          {one.name} <b>{one.result.sentence ?? say("sheet-quantity-empty")}</b>
        </Link>
      ))}
    </nav>
  );
}
