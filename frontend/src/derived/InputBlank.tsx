import { Input as Field, Select } from "antd";

import type { Quantity } from "../api";
import { useShow } from "../app/settings";
import type { Input } from "./recipe";

interface Props {
  symbol: string;
  label: string;
  given: Input;
  quantities: Quantity[];
  onGiven: (given: Input) => void;
}

const TYPED = "";

/** One input: a quantity of the sheet, or value, uncertainty and unit typed in. */
export function InputBlank({ symbol, label, given, quantities, onGiven }: Props) {
  const show = useShow();
  const typed = "quantity" in given ? null : given;
  const options = [
    ...quantities.map(({ id, name, result }) => ({
      value: id,
      label: show(`${name}: ${result.sentence ?? "no reading yet"}`),
    })),
    { value: TYPED, label: "a value you type in" },
  ];
  return (
    <div className="derived-input">
      <b>{symbol}</b>
      <span className="quiet">{label}</span>
      <Select
        aria-label={`${symbol} is`}
        value={typed ? TYPED : "quantity" in given ? given.quantity : TYPED}
        options={options}
        onChange={(id: string) =>
          onGiven(id === TYPED ? { value: "", uncertainty: "0", unit: "mm" } : { quantity: id })
        }
      />
      {typed && (
        <span className="derived-typed">
          <Field
            aria-label={`value of ${symbol}`}
            inputMode="decimal"
            value={typed.value}
            onChange={(event) => onGiven({ ...typed, value: event.target.value })}
          />
          ±
          <Field
            aria-label={`uncertainty of ${symbol}`}
            inputMode="decimal"
            value={typed.uncertainty}
            onChange={(event) => onGiven({ ...typed, uncertainty: event.target.value })}
          />
          <Field
            aria-label={`unit of ${symbol}`}
            value={typed.unit}
            onChange={(event) => onGiven({ ...typed, unit: event.target.value })}
          />
        </span>
      )}
    </div>
  );
}
