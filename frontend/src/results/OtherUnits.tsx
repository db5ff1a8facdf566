import { Button } from "antd";

import type { Schemas } from "../api";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

interface Props {
  also: Schemas["Also"][];
  /** Says in which units it is to be given; the change may be refused. */
  onChange: (units: string[]) => Promise<unknown>;
}

/** The result in other units: one tap for each. */
export function OtherUnits({ also, onChange }: Props) {
  const showError = useShowError();
  const given = also.filter(({ chosen }) => chosen).map(({ unit }) => unit);
  function toggle(unit: string) {
    const units = given.includes(unit) ? given.filter((one) => one !== unit) : [...given, unit];
    onChange(units).catch(showError);
  }
  if (also.length === 0) return null;
  return (
    <div className="also-in" role="group" aria-label={say("results-also-in")}>
      {also.map(
        ({ unit, sentence }) =>
          sentence && (
            <p key={unit}>
              <span className="mark-result">{sentence}</span>
            </p>
          ),
      )}
      <span className="quiet">{say("results-also-in")}</span>
      {also.map(({ unit, name, chosen }) => (
        <Button key={unit} type="text" aria-pressed={chosen} onClick={() => toggle(unit)}>
          {name}
        </Button>
      ))}
    </div>
  );
}
