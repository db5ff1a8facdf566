import { useIsMutating } from "@tanstack/react-query";

import type { Instrument, Quantity, Sheet } from "../api";
import { useShow } from "../app/settings";
import { UndoButtons } from "../sheet/UndoButtons";

interface Props {
  sheet: Sheet;
  quantity: Quantity;
  instrument: Instrument;
}

/** Where the work stands: instrument, zero, readings, result. */
export function Ribbon({ sheet, quantity, instrument }: Props) {
  const show = useShow();
  const saving = useIsMutating() > 0;
  const open = quantity.flags.filter((flag) => flag.level === "warning" && !flag.settled);
  const paired = quantity.sort !== "single";
  const zero = paired
    ? "cancels"
    : quantity.zero_exact
      ? "exact"
      : quantity.zero.length > 0
        ? `${quantity.zero_text} ${instrument.unit}`
        : "not looked at";
  const stage = !paired && quantity.zero.length === 0 && !quantity.zero_exact ? "zero" : "readings";
  const stages = [
    ["instrument", `${instrument.name}, ${instrument.least_count_text}`],
    ["zero", zero],
    ["readings", String(quantity.readings.length)],
    [
      "result",
      quantity.result.sentence ? (open.length > 0 ? "second look open" : "stands") : "none yet",
    ],
  ] as const;
  return (
    <div className="ribbon">
      <ol>
        {stages.map(([name, state]) => (
          <li key={name} aria-current={name === stage ? "step" : undefined}>
            {name} <b>{show(state)}</b>
          </li>
        ))}
      </ol>
      <span className="saved" role="status">
        {saving ? "saving" : "saved"}
      </span>
      <UndoButtons sheet={sheet} />
    </div>
  );
}
