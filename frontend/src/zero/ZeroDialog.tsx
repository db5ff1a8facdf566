import { App, Button, Modal, Space } from "antd";
import { useEffect, useRef, useState } from "react";

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
  type ZeroStands,
} from "../api";
import { figuresOf, useSheetDesk } from "../desk/useDesk";
import { Equation, type EquationHandle } from "../equation/Equation";
import { Strip } from "../strip";
import { EarlierLooks } from "./EarlierLooks";
import { Facing, staysApart } from "./Facing";
import { SideChoices } from "./SideChoices";
import { WhichZero } from "./WhichZero";
import { PhaseChoice } from "./PhaseChoice";
import "./zero.css";
import { say } from "../voice";

interface Props {
  sheet: Sheet;
  instrument: Instrument;
  /** The quantity that is to use the check. */
  quantity: Quantity | null;
  /** Which way it was seen to be off already. */
  off?: ZeroStands | null;
  onClose: () => void;
}

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
function ZeroLook({ sheet, instrument, quantity, off, onClose }: Props) {
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
  const [meant, setMeant] = useState("");
  const equation = useRef<EquationHandle>(null);
  const add = useAddZeroCheck(sheet.id);
  const amend = useAmendQuantity(sheet.id);
  const tool = useAmendInstrument(sheet.id);
  const { answer, entry } = desk;
  const error = answer?.finding?.error ?? null;
  const faces = words?.kinds.find(({ kind }) => kind === instrument.kind)?.faces ?? [];
  const position = entry.position ?? answer?.position ?? 0;

  function choose(side: ZeroStands) {
    if (side === "on") {
      // A zero that stands exactly need not be typed.
      void keep({ main: "0", fine: 0, second_turn: null });
      return;
    }
    move(side === "past" ? -1 : 1, 0);
    equation.current?.beginFine();
  }
  const choosing = useRef(choose);
  useEffect(() => {
    if (off) choosing.current(off);
  }, [off]);
  function move(lines: number, from = position) {
    desk.move(from + lines * instrument.lines.least_count);
    desk.release();
  }
  async function keep(figures = answer && desk.settled ? figuresOf(answer) : null) {
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
      if (now) await amend.mutateAsync({ seen: now, zero: [...now.zero, id], ...OWN });
      onClose();
    } catch (problem) {
      void message.error(
        problem instanceof Error ? problem.message : say("zero-this-could-not-be-saved"),
      );
    }
  }

  return (
    <>
      <Facing
        {...{ sheet, instrument, quantity, face, faces, reference, setFace, setReference, onClose }}
        fault={answer?.reference_fault ?? ""}
      />
      {answer?.finding?.wrapped && meant !== answer.finding.wrapped.kept ? (
        <WhichZero
          instrument={instrument}
          fine={answer.fine.typed ?? ""}
          error={answer.finding.error}
          wrapped={answer.finding.wrapped}
          onLikely={desk.type}
          onMeant={setMeant}
        />
      ) : (
        reference.trim() === "" &&
        !staysApart(instrument, faces, face) && (
          <SideChoices instrument={instrument} chosen={sideOf(error)} onChoose={choose} />
        )
      )}
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
      <Equation
        ref={equation}
        desk={desk}
        instrument={instrument}
        fineAs={instrument.fine_as}
        onFineAs={(fineAs) => tool.mutate({ seen: instrument, fine_as: fineAs })}
        autoFocus
        ending={{ readAs: say("zero-read-now") }}
        onEnter={() => void keep()}
      >
        <Space.Compact>
          <Button aria-label={say("zero-one-line-back")} onClick={() => move(-1)}>
            −
          </Button>
          <Button aria-label={say("zero-one-line-on")} onClick={() => move(1)}>
            +
          </Button>
        </Space.Compact>
        <PhaseChoice phase={phase} onChange={setPhase} />
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
      <Finding answer={answer} />
      <EarlierLooks sheet={sheet} instrument={instrument} face={face} />
    </>
  );
}

function sideOf(error: number | null): ZeroStands | null {
  if (error === null) return null;
  return error === 0 ? "on" : error < 0 ? "past" : "short";
}

/** A look of one's own at these faces: nothing is taken as exact, or over from others. */
const OWN = { zero_exact: null, zero_taken_over: null };

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
