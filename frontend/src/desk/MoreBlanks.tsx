import { Button, Checkbox, Input, Segmented } from "antd";
import { memo } from "react";

import type { Instrument } from "../api";
import { useShow } from "../app/settings";
import type { Circumstances } from "./circumstances";

interface Props {
  given: Circumstances;
  instrument: Instrument;
  blind: boolean;
  onGiven: (some: Partial<Circumstances>) => void;
  onBlind: (blind: boolean) => void;
  /** Readings are to come from a table. */
  onTable: () => void;
}

const APPROACHES = [
  { value: "", label: "not noted" },
  { value: "opening", label: "opening" },
  { value: "closing", label: "closing" },
];

/** What else can be noted of a reading: none of it is needed to record one. */
export const MoreBlanks = memo(function MoreBlanks(props: Props) {
  const { given, instrument, blind, onGiven, onBlind, onTable } = props;
  const show = useShow();
  return (
    <div className="more-blanks">
      <label>
        approached
        <Segmented
          value={given.approach}
          options={APPROACHES}
          onChange={(approach) => onGiven({ approach: approach as Circumstances["approach"] })}
        />
      </label>
      {instrument.kind === "vernier" && (
        <label>
          {show("the line meets the mark")}
          <Input
            className="more-short"
            inputMode="decimal"
            value={given.meets}
            onChange={(event) => onGiven({ meets: event.target.value })}
          />
        </label>
      )}
      <label>
        read by
        <Input
          className="more-short"
          value={given.reader}
          maxLength={100}
          onChange={(event) => onGiven({ reader: event.target.value })}
        />
      </label>
      <label className="more-note">
        note
        <Input
          value={given.note}
          maxLength={1000}
          onChange={(event) => onGiven({ note: event.target.value })}
        />
      </label>
      <Checkbox checked={blind} onChange={(event) => onBlind(event.target.checked)}>
        hide earlier figures
      </Checkbox>
      <Button type="text" onClick={onTable}>
        Readings from a table…
      </Button>
    </div>
  );
});
