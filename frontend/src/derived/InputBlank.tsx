import { Input as Field, Select } from "antd";

import type { Input, Source } from "./recipe";
import { say } from "../voice";

interface Props {
  symbol: string;
  label: string;
  given: Input;
  sources: Source[];
  onGiven: (given: Input) => void;
}

const TYPED = "";

/** One input: a quantity of the sheet, something derived earlier, or value, uncertainty and unit typed in. */
export function InputBlank({ symbol, label, given, sources, onGiven }: Props) {
  const typed = "quantity" in given ? null : given;
  const options = [
    ...sources.map(({ id, name, sentence }) => ({
      value: id,
      label: `${name}: ${sentence ?? say("sheet-quantity-empty")}`,
    })),
    { value: TYPED, label: say("derived-source-typed") },
  ];
  return (
    <div className="derived-input">
      <b>{symbol}</b>
      <span className="quiet">{label}</span>
      <Select
        aria-label={say("derived-is", { symbol })}
        value={typed ? TYPED : "quantity" in given ? given.quantity : TYPED}
        options={options}
        onChange={(id: string) =>
          onGiven(id === TYPED ? { value: "", uncertainty: "0", unit: "mm" } : { quantity: id })
        }
      />
      {typed && (
        <span className="derived-typed">
          <Field
            name={`inputs/${symbol}/value`}
            aria-label={say("derived-value-of", { symbol })}
            inputMode="decimal"
            value={typed.value}
            onChange={(event) => onGiven({ ...typed, value: event.target.value })}
          />
          ±
          <Field
            name={`inputs/${symbol}/uncertainty`}
            aria-label={say("derived-uncertainty-of", { symbol })}
            inputMode="decimal"
            value={typed.uncertainty}
            onChange={(event) => onGiven({ ...typed, uncertainty: event.target.value })}
          />
          <Field
            name={`inputs/${symbol}/unit`}
            aria-label={say("derived-unit-of", { symbol })}
            value={typed.unit}
            onChange={(event) => onGiven({ ...typed, unit: event.target.value })}
          />
        </span>
      )}
    </div>
  );
}
