import { Button, Space } from "antd";

import {
  useAmendInstrument,
  useWords,
  type Answer,
  type Instrument,
  type Quantity,
  type Sheet,
  type ZeroOff,
} from "../api";
import { useAtBench } from "../bench/AtBench";
import { ZeroAtBench } from "../bench/ZeroAtBench";
import { Equation } from "../equation/Equation";
import { Strip } from "../strip";
import { EarlierLooks } from "./EarlierLooks";
import { Facing, staysApart } from "./Facing";
import { TakenOver } from "./TakenOver";
import { SideChoices } from "./SideChoices";
import { WhichLook } from "./WhichLook";
import { WhichZero } from "./WhichZero";
import { PhaseChoice } from "./PhaseChoice";
import { sideOf, useZeroLook } from "./useZeroLook";
import "./zero.css";
import { Dialog } from "../common/overlays";
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
  const { desk, equation, face, phase, reference, position, asks, question, keep } = look;
  const { answer } = desk;
  const error = answer?.finding?.error ?? null;
  const faces = words?.kinds.find(({ kind }) => kind === instrument.kind)?.faces ?? [];
  const { setFace, setReference } = look;
  return (
    <>
      {quantity && <TakenOver {...{ sheet, instrument, quantity, face }} onTaken={onClose} />}
      <Facing
        {...{ sheet, instrument, face, faces, reference, setFace, setReference }}
        fault={answer?.reference_fault ?? ""}
      />
      {asks === "wrapped" || asks === "opposite" ? (
        <Which {...{ look, instrument, asks }} />
      ) : (
        reference.trim() === "" &&
        !staysApart(instrument, faces, face) && (
          <SideChoices
            instrument={instrument}
            chosen={error === null ? null : sideOf(error)}
            onChoose={look.choose}
          />
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
          <Button aria-label={say("zero-step-back")} onClick={() => look.move(-1)}>
            −
          </Button>
          <Button aria-label={say("zero-step-on")} onClick={() => look.move(1)}>
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
          onClick={() => void keep()}
        >
          {say("zero-keep")}
        </Button>
      </Equation>
      {asks === "unlike" && answer?.finding && (
        <WhichLook
          ref={question}
          instrument={instrument}
          finding={answer.finding}
          moves={phase === "before"}
          onKeep={(kept) => void keep(kept)}
        />
      )}
      <Finding answer={answer} />
      <EarlierLooks sheet={sheet} instrument={instrument} quantity={quantity} />
    </>
  );
}

interface WhichProps {
  look: ReturnType<typeof useZeroLook>;
  instrument: Instrument;
  asks: "wrapped" | "opposite";
}

/** Which of two zeros it is: a mark less, or as far off the other way. */
function Which({ look, instrument, asks }: WhichProps) {
  const { desk, question, position, tapped, move, setMeant, setTapped } = look;
  const { answer } = desk;
  const { error, [asks]: either } = answer?.finding ?? { error: 0, wrapped: null, opposite: null };
  if (!answer || !either) return null;
  const shared = { ref: question, instrument, error, either };
  if (asks === "opposite")
    return (
      <WhichZero
        {...shared}
        why={say("zero-tapped-otherwise", { side: tapped ?? "past" })}
        likely={-error}
        onLikely={() => move(0, -position)}
        onMeant={() => setTapped(null)}
      />
    );
  const mark = instrument.lines.pitch ?? instrument.lines.division;
  const { main, second_turn: secondTurn } = either;
  return (
    <WhichZero
      {...shared}
      why={either.words}
      likely={error - Math.sign(error) * mark}
      onLikely={() => desk.type({ main, fine: answer.fine.typed ?? "", secondTurn })}
      onMeant={() => {
        setMeant(either.kept);
        setTapped(null);
      }}
    />
  );
}

/** The error in words, and the two ways of counting side by side. */
function Finding({ answer }: { answer: Answer | null }) {
  const finding = answer?.finding;
  return (
    <div className="zero-finding">
      <p className="zero-outcome" data-testid="zero-outcome">
        {finding ? finding.words : say("zero-adds-up")}
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
