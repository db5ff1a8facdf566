import { Input, InputNumber, Segmented } from "antd";

import { useAmendInstrument, type Instrument, type Sheet, type Words } from "../api";
import { say, type MessageCode } from "../voice";
import { useShowError } from "../common/useShowError";

interface Props {
  sheet: Sheet;
  instrument: Instrument;
  face: string;
  faces: Words["kinds"][number]["faces"];
  reference: string;
  /** What is wrong with the size of the setting piece. */
  fault: string;
  setFace: (face: string) => void;
  setReference: (reference: string) => void;
}

/** Which faces are closed, or what stands between them. */
export function Facing(props: Props) {
  const { instrument, face, faces, reference, fault } = props;
  const apart = staysApart(instrument, faces, face);
  return (
    <div className="zero-facing">
      {faces.length > 1 && (
        <Segmented
          aria-label={say("sheet-taken-with")}
          value={face}
          onChange={props.setFace}
          options={faces.map(({ id, name }) => ({ value: id, label: name }))}
        />
      )}
      <label>
        {say("zero-piece")}
        <Input
          className="zero-reference"
          value={reference}
          placeholder={apart ? "" : say("zero-0-closed")}
          inputMode="decimal"
          status={fault ? "error" : ""}
          onChange={(event) => props.setReference(event.target.value)}
        />
        {instrument.kept_unit}
      </label>
      <span className="quiet">{fault || say(howTo(instrument, face, apart))}</span>
      {instrument.traits.turns && <MarksEarly {...props} />}
    </div>
  );
}

const facesClose = (faces: Props["faces"], face: string) =>
  faces.find(({ id }) => id === face)?.closes ?? true;

/** Whether there is always something between the faces, so that there is no zero to stand on. */
export const staysApart = (instrument: Instrument, faces: Props["faces"], face: string): boolean =>
  !facesClose(faces, face) || (instrument.lines.low ?? 0) > 0;

function howTo(instrument: Instrument, face: string, apart: boolean): MessageCode {
  if (apart) return "zero-piece-why";
  if (face === "depth") return "zero-flush-on-a-flat-surface";
  if (!instrument.traits.fine_scale) return "zero-where-it-should-read-nothing";
  return instrument.traits.turns ? "zero-how-ratchet" : "zero-how";
}

/** A sleeve whose marks show early or late, noted once: the drawings follow. */
function MarksEarly({ sheet, instrument }: Props) {
  const showError = useShowError();
  const amend = useAmendInstrument(sheet.id);
  const keep = (lines: number | null) =>
    amend.mutate(
      { seen: instrument, marks_early: lines ? String(lines) : null },
      { onError: showError },
    );
  return (
    <label>
      {say("zero-its-zero-mark-shows")}
      <InputNumber
        className="zero-reference"
        controls={false}
        precision={0}
        min={-instrument.lines.fine_divisions / 2}
        max={instrument.lines.fine_divisions / 2}
        value={instrument.appearance.marks_early}
        onChange={keep}
      />
      {say("zero-lines-early")}
    </label>
  );
}
