import { AutoComplete } from "antd";
import { memo } from "react";

import type { Reading } from "../api";
import { say } from "../voice";

interface Props {
  place: string;
  readings: Reading[];
  onPlace: (place: string) => void;
  onPicked: () => void;
}

/** Where on the object the reading is taken; kept from reading to reading. */
export const PlaceBlank = memo(function PlaceBlank({ place, readings, onPlace, onPicked }: Props) {
  const places = [...new Set(readings.map((reading) => reading.place))].filter(Boolean);
  return (
    <label className="place">
      {say("desk-place")}
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
