import { Button, Checkbox, Input, Segmented } from "antd";
import { memo } from "react";

import type { Instrument, Quantity } from "../api";
import { useShow } from "../app/settings";
import type { Circumstances } from "./circumstances";

interface Props {
  given: Circumstances;
  quantity: Quantity;
  instrument: Instrument;
  blind: boolean;
  onGiven: (some: Partial<Circumstances>) => void;
  onBlind: (blind: boolean) => void;
  /** Readings are to come from a table. */
  onTable: () => void;
  /** The sweeps of this quantity are to go the other way round. */
  onArc: (arc: Quantity["arc"]) => void;
}

const APPROACHES = [
  { value: "", label: "not noted" },
  { value: "opening", label: "opening" },
  { value: "closing", label: "closing" },
];

/** What else can be noted of a reading: none of it is needed to record one. */
export const MoreBlanks = memo(function MoreBlanks(props: Props) {
  const { given, instrument, blind, quantity, onGiven, onBlind, onTable, onArc } = props;
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
      {instrument.kind === "angular" && (
        <label>
          the arc that counts
          <Segmented<Quantity["arc"]>
            value={quantity.arc}
            options={[
              { value: "shorter", label: "the shorter one" },
              { value: "forward", label: "onward, as the figures grow" },
            ]}
            onChange={onArc}
          />
        </label>
      )}
      {instrument.kind === "vernier" && quantity.sort === "single" && (
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
