import { AutoComplete } from "antd";
import { memo } from "react";

import type { Reading } from "../api";
import { wordsOf, type Planned } from "../tally";
import { say } from "../voice";

interface Props {
  place: string;
  /** The planned reading that is next. */
  planned: Planned | null;
  readings: Reading[];
  onPlace: (place: string) => void;
  onPicked: () => void;
}

/** Where on the object the reading is taken; kept from reading to reading. */
export const PlaceBlank = memo(function PlaceBlank(props: Props) {
  const { place, planned, readings, onPlace, onPicked } = props;
  const places = [...new Set(readings.map((reading) => reading.place))].filter(Boolean);
  return (
    <label className="place">
      <span>
        {say("desk-place")} <span className="place-nth">{planned && wordsOf(planned)}</span>
      </span>
      <AutoComplete
        value={place}
        options={places.map((value) => ({ value }))}
        onChange={onPlace}
        onSelect={onPicked}
        placeholder={say("desk-end-a")}
        maxLength={100}
      />
    </label>
  );
});
