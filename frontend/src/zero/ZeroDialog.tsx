import { Button, Space } from "antd";

import {
  useAmendInstrument,
  useWords,
  type Answer,
  type Instrument,
  type Quantity,
  type Sheet,
  type ZeroOff,
  type ZeroStands,
} from "../api";
import { useAtBench } from "../bench/AtBench";
import { ZeroAtBench } from "../bench/ZeroAtBench";
import { Equation } from "../equation/Equation";
import { Strip } from "../strip";
import { EarlierLooks } from "./EarlierLooks";
import { Facing, staysApart } from "./Facing";
import { SideChoices } from "./SideChoices";
import { WhichZero } from "./WhichZero";
import { PhaseChoice } from "./PhaseChoice";
import { useZeroLook } from "./useZeroLook";
import "./zero.css";
import { Dialog } from "../app/overlays";
import { say } from "../voice";

interface Props {
  sheet: Sheet;
  instrument: Instrument;
  /** The quantity that is to use the check. */
  quantity: Quantity | null;
  /** Which way it was seen to be off already. */
  off?: ZeroOff | null;
  onClose: () => void;
}

/** Faces closed, or on a setting piece: which way and how far does the reading miss? */
export function ZeroDialog(props: Props) {
  return (
    <Dialog
      title={say("zero-zero-of", { name: props.instrument.name })}
      width={1080}
      style={{ top: 24 }}
      onCancel={props.onClose}
      className="zero-dialog"
    >
      <ZeroLook {...props} />
    </Dialog>
  );
}

/** Keeps what is typed itself: a dialog that is still opening shows its content as it was at first. */
function ZeroLook(props: Props) {
  const { sheet, instrument, quantity, onClose } = props;
  const { data: words } = useWords();
  const tool = useAmendInstrument(sheet.id);
  const look = useZeroLook(props);
  const bench = useAtBench();
  const { desk, equation, face, phase, reference, position } = look;
  const { answer } = desk;
  const error = answer?.finding?.error ?? null;
  const faces = words?.kinds.find(({ kind }) => kind === instrument.kind)?.faces ?? [];
  const { setFace, setReference } = look;
  return (
    <>
      <Facing
        {...{ sheet, instrument, quantity, face, faces, reference, setFace, setReference, onClose }}
        fault={answer?.reference_fault ?? ""}
      />
      {answer?.finding?.wrapped && look.meant !== answer.finding.wrapped.kept ? (
        <WhichZero
          instrument={instrument}
          fine={answer.fine.typed ?? ""}
          error={answer.finding.error}
          wrapped={answer.finding.wrapped}
          onLikely={desk.type}
          onMeant={look.setMeant}
        />
      ) : (
        reference.trim() === "" &&
        !staysApart(instrument, faces, face) && (
          <SideChoices instrument={instrument} chosen={sideOf(error)} onChoose={look.choose} />
        )
      )}
      {bench?.standing ? (
        <ZeroAtBench
          bench={bench}
          standing={bench.standing}
          onLifted={() => equation.current?.begin()}
        />
      ) : (
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
      )}
      <Equation
        ref={equation}
        desk={desk}
        instrument={instrument}
        fineAs={instrument.fine_as}
        onFineAs={(fineAs) => tool.mutate({ seen: instrument, fine_as: fineAs })}
        autoFocus
        brief
        ending={{ readAs: say("zero-read-now") }}
        onEnter={look.enter}
      >
        <Space.Compact>
          <Button aria-label={say("zero-one-line-back")} onClick={() => look.move(-1)}>
            −
          </Button>
          <Button aria-label={say("zero-one-line-on")} onClick={() => look.move(1)}>
            +
          </Button>
        </Space.Compact>
        <PhaseChoice phase={phase} onChange={look.setPhase} />
        <Button
          type="primary"
          size="large"
          className="record"
          loading={look.keeping}
          disabled={answer?.read == null}
          onClick={() => void look.keep()}
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
