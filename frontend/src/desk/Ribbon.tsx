import { useIsMutating } from "@tanstack/react-query";
import { Button } from "antd";

import type { Instrument, Quantity, Sheet } from "../api";
import { thatCount } from "../results/thatCount";
import { UndoButtons } from "../sheet/UndoButtons";
import { say } from "../voice";

interface Props {
  sheet: Sheet;
  quantity: Quantity;
  instrument: Instrument;
  /** What was planned is to be seen, or changed. */
  onPlan: () => void;
}

/** Where the work stands: instrument, zero, readings, result. */
export function Ribbon({ sheet, quantity, instrument, onPlan }: Props) {
  const saving = useIsMutating() > 0;
  const open = quantity.flags.filter((flag) => flag.level === "warning" && !flag.settled);
  const paired = quantity.sort !== "single";
  const zero = paired
    ? say("desk-cancels")
    : quantity.zero_exact
      ? say("desk-exact")
      : quantity.zero.length > 0
        ? `${quantity.zero_text} ${instrument.unit}`
        : say("zero-state-none");
  const stage = !paired && quantity.zero.length === 0 && !quantity.zero_exact ? "zero" : "readings";
  const stages = [
    ["instrument", `${instrument.name}, ${instrument.least_count_text}`],
    ["zero", zero],
    ["readings", `${quantity.reading_count}${thatCount(quantity)}`],
    [
      "result",
      quantity.result.sentence
        ? open.length > 0
          ? say("desk-second-look")
          : say("desk-stands")
        : say("desk-none-yet"),
    ],
  ] as const;
  return (
    <div className="ribbon">
      <ol>
        {stages.map(([name, state]) => (
          <li key={name} aria-current={name === stage ? "step" : undefined}>
            {say(`desk-stage-${name}`)} <b>{state}</b>
            {name === "readings" && quantity.plan && (
              <Button type="link" className="ribbon-plan" onClick={onPlan}>
                {say("plan-progress", { made: quantity.plan.made, of: quantity.plan.of })}
              </Button>
            )}
          </li>
        ))}
      </ol>
      <span className="saved" role="status">
        {say(saving ? "desk-saving" : "desk-saved")}
      </span>
      <UndoButtons sheet={sheet} />
    </div>
  );
}
