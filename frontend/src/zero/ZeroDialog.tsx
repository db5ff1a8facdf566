import { App, Button, Input, Modal, Segmented } from "antd";
import { useRef, useState } from "react";

import {
  newId,
  useAddZeroCheck,
  useAmendInstrument,
  useAmendQuantity,
  useWords,
  type Answer,
  type Instrument,
  type Quantity,
  type Sheet,
} from "../api";
import { figuresOf, useSheetDesk } from "../desk/useDesk";
import { Equation, type EquationHandle } from "../equation/Equation";
import { Strip } from "../strip";
import { EarlierLooks } from "./EarlierLooks";
import { WhichZero } from "./WhichZero";
import "./zero.css";
import { say } from "../voice";

interface Props {
  sheet: Sheet;
  instrument: Instrument;
  /** The quantity that is to use the check. */
  quantity: Quantity | null;
  onClose: () => void;
}

type Side = "left" | "on" | "right";

/** Faces closed, or on a setting piece: which way and how far does the reading miss? */
export function ZeroDialog(props: Props) {
  return (
    <Modal
      open
      title={say("zero-zero-of", { name: props.instrument.name })}
      width={1080}
      style={{ top: 24 }}
      onCancel={props.onClose}
      footer={null}
      className="zero-dialog"
    >
      <ZeroLook {...props} />
    </Modal>
  );
}

/** Keeps what is typed itself: a dialog that is still opening shows its content as it was at first. */
function ZeroLook({ sheet, instrument, quantity, onClose }: Props) {
  const { message } = App.useApp();
  const { data: words } = useWords();
  const [phase, setPhase] = useState<"before" | "after">("before");
  const [face, setFace] = useState(quantity?.face || "outside");
  const [reference, setReference] = useState("");
  const desk = useSheetDesk(sheet.id, instrument.id, [], {
    fineAs: instrument.fine_as,
    estimates: true,
    reference,
  });
  const equation = useRef<EquationHandle>(null);
  const add = useAddZeroCheck(sheet.id);
  const amend = useAmendQuantity(sheet.id);
  const tool = useAmendInstrument(sheet.id);
  const { answer, entry } = desk;
  const error = answer?.finding?.error ?? null;
  const faces = words?.kinds.find(({ kind }) => kind === instrument.kind)?.faces ?? [];
  const position = entry.position ?? answer?.position ?? 0;

  function choose(side: Side) {
    const below = side === "left";
    desk.type({
      main: below ? instrument.below_main : "0",
      secondTurn: below && instrument.below_second_turn,
      fine: side === "on" ? "0" : "",
    });
    equation.current?.begin();
  }
  async function keep() {
    const figures = answer && desk.settled ? figuresOf(answer) : null;
    if (!figures || answer?.reference_fault) return;
    const id = newId();
    try {
      const changed = await add.mutateAsync({
        id,
        instrument: instrument.id,
        face,
        ...figures,
        reference: reference.trim() === "" ? null : reference.trim().replace(",", "."),
        phase,
      });
      const now = changed.quantities.find((one) => one.id === quantity?.id);
      if (now) await amend.mutateAsync({ seen: now, zero: [...now.zero, id], zero_exact: null });
      onClose();
    } catch (problem) {
      void message.error(
        problem instanceof Error ? problem.message : say("zero-this-could-not-be-saved"),
      );
    }
  }

  return (
    <>
      <Facing {...{ instrument, face, faces, reference, setFace, setReference, answer }} />
      <Strip
        instrument={instrument}
        face={face}
        position={position}
        live={answer !== null}
        answer={answer}
        zeroError={error ?? position}
        label={say("zero-closed-scales")}
        readOut={answer?.read ?? say("zero-not-set")}
        onMove={desk.move}
        onRelease={desk.release}
      />
      {reference.trim() === "" && (
        <Segmented<Side>
          aria-label={say("zero-which-way")}
          className="zero-side"
          value={sideOf(error)}
          onChange={choose}
          options={sides(instrument)}
        />
      )}
      <Equation
        ref={equation}
        desk={desk}
        instrument={instrument}
        fineAs={instrument.fine_as}
        onFineAs={(fineAs) => tool.mutate({ seen: instrument, fine_as: fineAs })}
        autoFocus
        ending={{ readAs: say("zero-read-with-closed-faces") }}
        onEnter={() => void keep()}
      >
        <Segmented
          aria-label={say("zero-when")}
          value={phase}
          onChange={setPhase}
          options={[
            { value: "before", label: say("zero-before-the-readings") },
            { value: "after", label: say("zero-after") },
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
          {say("zero-keep-this-zero")}
        </Button>
      </Equation>
      <WhichZero answer={answer} onLikely={desk.type} />
      <Finding answer={answer} />
      <EarlierLooks sheet={sheet} instrument={instrument} face={face} />
    </>
  );
}

interface FacingProps {
  instrument: Instrument;
  face: string;
  faces: { id: string; name: string; closes: boolean }[];
  reference: string;
  setFace: (face: string) => void;
  setReference: (reference: string) => void;
  answer: Answer | null;
}

/** Which faces are closed, or what stands between them. */
function Facing(props: FacingProps) {
  const { instrument, face, faces, reference } = props;
  const closes = faces.find(({ id }) => id === face)?.closes ?? true;
  const starts = (instrument.lines.low ?? 0) > 0;
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
        {say("zero-on-a-setting-piece-of")}
        <Input
          className="zero-reference"
          value={reference}
          placeholder={say("zero-0-closed")}
          inputMode="decimal"
          status={props.answer?.reference_fault ? "error" : ""}
          onChange={(event) => props.setReference(event.target.value)}
        />
        {instrument.unit}
      </label>
      <span className="quiet">
        {props.answer?.reference_fault
          ? props.answer.reference_fault
          : !closes || starts
            ? say("zero-these-faces-cannot-close-on-each")
            : instrument.kind === "screw"
              ? say("zero-wipe-the-faces-close-them-by")
              : say("zero-wipe-the-faces-and-close-them")}
      </span>
    </div>
  );
}

function sides(instrument: Instrument): { value: Side; label: string }[] {
  if (instrument.kind === "screw") {
    const last = instrument.lines.fine_divisions - 1;
    return [
      { value: "left", label: say("zero-run-past-shows-too-little", { last, before: last - 1 }) },
      { value: "on", label: say("zero-on-the-zero") },
      { value: "right", label: say("zero-still-to-come-shows-1-2") },
    ];
  }
  return [
    { value: "left", label: say("zero-left-of-zero-reads-too-little") },
    { value: "on", label: say("zero-on-the-zero") },
    { value: "right", label: say("zero-right-of-zero-reads-too-much") },
  ];
}

function sideOf(error: number | null): Side {
  if (error === null || error === 0) return "on";
  return error < 0 ? "left" : "right";
}

/** The error in words, and the two ways of counting side by side. */
function Finding({ answer }: { answer: Answer | null }) {
  const finding = answer?.finding;
  return (
    <div className="zero-finding">
      <p className="zero-outcome" data-testid="zero-outcome">
        {finding ? finding.words : say("zero-the-last-mark-passed-and-the")}
      </p>
      {finding && (
        <ul>
          {finding.ways.map((way) => (
            <li key={way}>{way}</li>
          ))}
        </ul>
      )}
      {finding?.advice && <p className="zero-advice">{finding.advice}</p>}
    </div>
  );
}
