import { Button, Checkbox, Input, Segmented } from "antd";
import { memo } from "react";

import type { Instrument, Quantity } from "../api";
import type { Circumstances } from "./circumstances";
import { say } from "../voice";

interface Props {
  given: Circumstances;
  quantity: Quantity;
  instrument: Instrument;
  blind: boolean;
  onGiven: (some: Partial<Circumstances>) => void;
  onBlind: (blind: boolean) => void;
  /** The tool is to be shown in slow motion. */
  onPlay: () => void;
  /** Readings are to come from a table. */
  onTable: () => void;
  /** It is to be said what is to be read. */
  onPlan: () => void;
  /** What the quantity is, its faces and stack, are to be changed. */
  onDescribe: () => void;
  /** The sweeps of this quantity are to go the other way round. */
  onArc: (arc: Quantity["arc"]) => void;
}

const APPROACHES = () => [
  { value: "", label: say("desk-not-noted") },
  { value: "opening", label: say("desk-opening") },
  { value: "closing", label: say("desk-closing") },
];

/** What else can be noted of a reading: none of it is needed to record one. */
export const MoreBlanks = memo(function MoreBlanks(props: Props) {
  const { given, instrument, blind, quantity, onGiven, onBlind, onArc } = props;
  return (
    <div className="more-blanks">
      <label>
        {say("desk-approached")}
        <Segmented
          aria-label={say("desk-approached")}
          value={given.approach}
          options={APPROACHES()}
          onChange={(approach) => onGiven({ approach: approach as Circumstances["approach"] })}
        />
      </label>
      {instrument.traits.circular && (
        <label>
          {say("desk-arc")}
          <Segmented<Quantity["arc"]>
            aria-label={say("desk-arc")}
            value={quantity.arc}
            options={[
              { value: "shorter", label: say("desk-arc-shorter") },
              { value: "forward", label: say("desk-arc-onward") },
            ]}
            onChange={onArc}
          />
        </label>
      )}
      {instrument.traits.slides && quantity.sort === "single" && (
        <label>
          {say("desk-meets")}
          <Input
            className="more-short"
            inputMode="decimal"
            value={given.meets}
            onChange={(event) => onGiven({ meets: event.target.value })}
          />
        </label>
      )}
      <label>
        {say("desk-read-by")}
        <Input
          className="more-short"
          value={given.reader}
          maxLength={100}
          onChange={(event) => onGiven({ reader: event.target.value })}
        />
      </label>
      <label className="more-note">
        {say("desk-note")}
        <Input
          value={given.note}
          maxLength={1000}
          onChange={(event) => onGiven({ note: event.target.value })}
        />
      </label>
      <Checkbox checked={blind} onChange={(event) => onBlind(event.target.checked)}>
        {say("desk-blind")}
      </Checkbox>
      {instrument.traits.fine_scale && (
        <Button type="text" onClick={props.onPlay}>
          {say("instruments-tour-lines")}
        </Button>
      )}
      <Button type="text" onClick={props.onTable}>
        {say("desk-table")}
      </Button>
      <Button type="text" onClick={props.onPlan}>
        {say("plan-open")}
      </Button>
      <Button type="text" onClick={props.onDescribe}>
        {say("desk-describe")}
      </Button>
    </div>
  );
});
