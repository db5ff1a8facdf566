import { App, Button, Modal, Segmented } from "antd";
import { useRef, useState } from "react";

import {
  newId,
  useAddZeroCheck,
  useAmendQuantity,
  type Instrument,
  type Quantity,
  type Sheet,
} from "../api";
import { useShow } from "../app/settings";
import { useDesk } from "../desk/useDesk";
import { Equation, type EquationHandle } from "../equation/Equation";
import { Strip } from "../strip";

interface Props {
  sheet: Sheet;
  instrument: Instrument;
  /** The quantity that is to use the check. */
  quantity: Quantity | null;
  onClose: () => void;
}

type Side = "left" | "on" | "right";

/** Faces closed: which way and how far does the zero line miss the zero? */
export function ZeroDialog({ sheet, instrument, quantity, onClose }: Props) {
  const show = useShow();
  const { message } = App.useApp();
  const desk = useDesk(sheet.id, instrument, [], null, "line");
  const equation = useRef<EquationHandle>(null);
  const [phase, setPhase] = useState<"before" | "after">("before");
  const add = useAddZeroCheck(sheet.id);
  const amend = useAmendQuantity(sheet.id);
  const { answer, entry } = desk;
  const position = entry.position ?? answer?.position ?? 0;
  const error = answer?.read == null ? null : (answer.position ?? 0);
  const below = `-${instrument.main_division}`;

  function choose(side: Side) {
    const main = side === "left" ? below : "0";
    desk.type({ main, fine: side === "on" ? "0" : "" });
    equation.current?.begin();
  }
  async function keep() {
    if (!answer || answer.main.value === null || answer.fine.value === null || !desk.settled)
      return;
    const id = newId();
    try {
      const changed = await add.mutateAsync({
        id,
        instrument: instrument.id,
        face: quantity?.face ?? "outside",
        main: answer.main.value,
        fine: Number(answer.fine.value),
        phase,
      });
      const now = changed.quantities.find((one) => one.id === quantity?.id);
      if (now) await amend.mutateAsync({ seen: now, zero: [...now.zero, id], zero_exact: null });
      onClose();
    } catch (problem) {
      void message.error(problem instanceof Error ? problem.message : "This could not be saved.");
    }
  }

  return (
    <Modal
      open
      title={`Zero of ${instrument.name}`}
      width={1040}
      onCancel={onClose}
      footer={null}
      className="zero-dialog"
    >
      <p>
        Wipe the faces, close them gently, and look where the zero line of the slide stands. Drag
        the slide until it looks like yours, or say it in figures.
      </p>
      <Strip
        lines={instrument.lines}
        position={position}
        live={answer !== null}
        answer={answer}
        zeroError={position}
        label="closed scales"
        readOut={answer?.read ?? "not set"}
        onMove={desk.move}
        onRelease={desk.release}
      />
      <Segmented<Side>
        className="zero-side"
        value={sideOf(error)}
        onChange={choose}
        options={[
          { value: "left", label: "left of zero: reads too little" },
          { value: "on", label: "on the zero" },
          { value: "right", label: "right of zero: reads too much" },
        ]}
      />
      <Equation
        ref={equation}
        desk={desk}
        instrument={instrument}
        fineAs="line"
        autoFocus
        zero={null}
        onEnter={() => void keep()}
      >
        <Segmented
          value={phase}
          onChange={setPhase}
          options={[
            { value: "before", label: "before the readings" },
            { value: "after", label: "after" },
          ]}
        />
        <Button
          type="primary"
          size="large"
          className="record"
          loading={add.isPending}
          disabled={answer?.read == null}
          onClick={() => void keep()}
        >
          Keep this zero
        </Button>
      </Equation>
      <p className="zero-outcome" data-testid="zero-outcome">
        {show(outcome(answer?.read ?? null, error, instrument.unit))}
      </p>
    </Modal>
  );
}

function sideOf(error: number | null): Side {
  if (error === null || error === 0) return "on";
  return error < 0 ? "left" : "right";
}

/** The error and its correction in words; both figures come from the server as text. */
function outcome(read: string | null, error: number | null, unit: string): string {
  if (read === null || error === null)
    return "The last mark passed and the line that meets make the zero error.";
  if (error === 0) return "The zero error is 0: nothing to correct.";
  const size = read.replace("−", "");
  return error > 0
    ? `Zero error ${read} ${unit}: this tool reads too much. Correction −${size} ${unit}.`
    : `Zero error ${read} ${unit}: this tool reads too little. Correction +${size} ${unit}.`;
}
