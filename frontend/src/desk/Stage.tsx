import { Button } from "antd";
import { useCallback, useRef, useState, type ReactNode } from "react";

import {
  useAmendInstrument,
  type Answer,
  type FineAs,
  type Instrument,
  type Quantity,
  type Reading,
  type Sheet,
} from "../api";
import { useChosen } from "../common/settings";
import { Equation, type Ending, type EquationHandle } from "../equation/Equation";
import { Keypad, type KeypadProps } from "../equation/Keypad";
import { Asked } from "../equation/Asked";
import { Offers } from "../equation/Offers";
import { useNarrow } from "../equation/useNarrow";
import { wordsOf, type LookActions } from "../tally";
import { useAtBench } from "../bench/AtBench";
import { Bench } from "../bench/Bench";
import { PhotoAtEquation } from "../photo";
import { Strip } from "../strip";
import { ZeroTerm } from "../zero/ZeroTerm";
import { AtTheEye } from "./AtTheEye";
import { MoreBlanks } from "./MoreBlanks";
import { pairEnding } from "./pairEnding";
import { Played } from "./Played";
import { PlaceBlank } from "./PlaceBlank";
import type { Question, Reopened } from "../tally/reopened";
import { isEmpty } from "../entry/useDesk";
import { useBenchKeys } from "./useBenchKeys";
import { recordable, useRecording } from "./useRecording";
import { useWakeLock } from "./useWakeLock";
import { useWhole } from "./useWhole";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

interface Props {
  sheet: Sheet;
  quantity: Quantity;
  instrument: Instrument;
  /** A reading that was taken up from the tally. */
  reopened: Reopened | null;
  /** What is asked while nothing is entered. */
  asked: Question | null;
  actions: LookActions;
  /** The reading that was recorded last. */
  made: string | null;
  /** A reading is on its way, under this id. */
  onMade: (id: string) => void;
  /** Whether earlier figures are hidden while reading. */
  blind: boolean;
  onBlind: (blind: boolean) => void;
  /** Readings are to come from a table. */
  onTable: () => void;
  /** It is to be said what is to be read. */
  onPlan: () => void;
  /** What the quantity is, its faces and stack, are to be changed. */
  onDescribe: () => void;
  /** The sweeps of this quantity are to go the other way round. */
  onArc: (arc: Quantity["arc"]) => void;
  /** The entry was recorded, or left. */
  onDone: () => void;
}

/** How a line is said when it is typed, kept with the tool. */
function useFineAs(sheetId: string, instrument: Instrument) {
  const tool = useAmendInstrument(sheetId);
  return (fineAs: FineAs) => tool.mutate({ seen: instrument, fine_as: fineAs });
}

/** Strip and equation: where a reading is made. */
export function Stage(props: Props) {
  const { sheet, quantity, instrument, reopened, blind } = props;
  const { onBlind, onTable, onArc, onPlan, onDescribe } = props;
  const looked = reopened?.to === "show" ? reopened.reading : null;
  const again = reopened?.to === "again" ? reopened.reading : null;
  const changing = reopened && !looked ? reopened.reading : null;
  const showError = useShowError();
  const keepFineAs = useFineAs(sheet.id, instrument);
  const { singleKeys } = useChosen();
  const narrow = useNarrow();
  const whole = useWhole<HTMLElement>();
  useWakeLock();
  const atBench = useAtBench() !== null;
  const equation = useRef<EquationHandle>(null);
  const begin = useCallback(() => equation.current?.begin(), []);
  const choose = useCallback(() => equation.current?.choose(), []);

  const recording = useRecording({
    ...props,
    changing,
    afresh: again !== null,
    begin,
    choose,
    fail: showError,
  });
  const { desk, positions, given, give, record } = recording;
  const { answer, entry } = desk;
  const { before, more: others } = positions;
  const setPlace = useCallback((place: string) => give({ place }), [give]);
  const [more, setMore] = useState(false);
  const [playing, setPlaying] = useState(false);
  const rested = useCallback(() => {
    setPlaying(false);
    begin();
  }, [begin]);
  useBenchKeys({
    sheet,
    enabled: singleKeys,
    begin: (text) => equation.current?.begin(text),
    enter: () => void record(),
  });

  // What was read before is not to steer a fresh look.
  const last = again ? null : (looked ?? quantity.readings.at(-1) ?? null);
  const paired = quantity.sort !== "single";
  const rest = paired ? (before?.position.position ?? last?.positions[1]) : last?.position;
  const ending = paired
    ? pairEnding(positions, instrument, answer, recording.takeBack)
    : singleEnding(<ZeroTerm {...{ sheet, quantity, instrument }} onLooked={begin} />, answer);
  const ready = recordable(desk, instrument);
  const task = taskOf(reopened, quantity);
  const question = props.asked && !changing && isEmpty(entry) && (
    <AtTheEye question={props.asked} actions={props.actions} onDone={begin} />
  );
  return (
    <section ref={whole} className="stage" aria-label={say("desk-scales")}>
      {atBench ? (
        <Bench {...{ sheet, quantity }} />
      ) : playing ? (
        <Played instrument={instrument} onDone={rested} />
      ) : (
        <OwnScales
          {...{ quantity, instrument, recording, looked, rest, narrow }}
          onTurned={begin}
        />
      )}
      <Equation
        ref={equation}
        desk={desk}
        instrument={instrument}
        fineAs={instrument.fine_as}
        onFineAs={keepFineAs}
        autoFocus
        padded
        ending={ending}
        onEnter={() => void record()}
        of={positions.name}
        task={task}
        question={!narrow && question}
        onLeave={reopened ? props.onDone : undefined}
        beside={
          !changing && (
            <PhotoAtEquation
              {...{ sheet, quantity, instrument }}
              entered={ready ? recording.outcome : ""}
              onRecord={record}
              made={props.made}
              onTaken={recording.unconfirm}
            />
          )
        }
      >
        <PlaceBlank
          place={given.place}
          planned={recording.planned}
          readings={quantity.readings}
          onPlace={setPlace}
          onPicked={begin}
        />
        <MoreButton more={more} onMore={setMore} />
        <RecordButton ready={ready} onRecord={() => void record()}>
          {say(others ? "desk-keep-next" : changing ? "desk-change-it" : "desk-record")}
        </RecordButton>
      </Equation>
      {narrow && (
        <ThumbKeys
          {...{ recording, instrument, question, ready }}
          task={changing && <Task words={task} onLeave={props.onDone} />}
          onKey={(key) => equation.current?.press(key)}
        />
      )}
      {more && (
        <MoreBlanks
          {...{ given, quantity, instrument, blind, onBlind, onTable, onArc, onPlan, onDescribe }}
          onGiven={give}
          onPlay={() => setPlaying(true)}
        />
      )}
    </section>
  );
}

interface RecordProps {
  ready: boolean;
  onRecord: () => void;
  children: string;
}

/** Keeps what is entered. */
function RecordButton({ ready, onRecord, children }: RecordProps) {
  return (
    <Button type="primary" size="large" className="record" disabled={!ready} onClick={onRecord}>
      {children}
    </Button>
  );
}

/** Opens and closes the blanks that are seldom filled. */
function MoreButton({ more, onMore }: { more: boolean; onMore: (more: boolean) => void }) {
  return (
    <Button type="text" aria-expanded={more} onClick={() => onMore(!more)}>
      {more ? say("desk-less") : say("desk-more")}
    </Button>
  );
}

type Recording = ReturnType<typeof useRecording>;

interface ScalesProps {
  quantity: Quantity;
  instrument: Instrument;
  recording: Recording;
  /** A reading that is shown again. */
  looked: Reading | null;
  /** Where the scales stand while nothing is entered. */
  rest: number | undefined;
  narrow: boolean;
  onTurned: () => void;
}

/** The student's own scales, which follow the figures, and the figures them. */
function OwnScales({ quantity, instrument, recording, looked, rest, ...props }: ScalesProps) {
  const { desk, positions } = recording;
  const { answer, entry } = desk;
  return (
    <Strip
      instrument={instrument}
      face={quantity.face || "outside"}
      position={entry.position ?? answer?.position ?? rest ?? 0}
      live={answer !== null || looked !== null}
      steps={props.narrow && instrument.traits.fine_scale}
      answer={answer}
      zeroError={quantity.zero_error}
      swept={sweptFrom(positions.sweptFrom, looked, quantity)}
      label={say("desk-scales-of", { name: instrument.name })}
      readOut={seen(answer)}
      onMove={desk.move}
      onRelease={desk.release}
      onTurn={({ main, second_turn: secondTurn }) => {
        desk.type({ main, secondTurn });
        props.onTurned();
      }}
    />
  );
}

interface ThumbProps extends Pick<KeypadProps, "task" | "question" | "onKey"> {
  recording: Recording;
  instrument: Instrument;
  ready: boolean;
}

/** On a phone: the keys for what is entered, with what else it may mean over them. */
function ThumbKeys({ recording, instrument, ready, ...props }: ThumbProps) {
  const { desk, positions, planned, given } = recording;
  const next = planned && [given.place, wordsOf(planned)].filter(Boolean).join(", ");
  return (
    <Keypad
      {...props}
      task={props.task || next}
      corrected={recording.outcome}
      kept={recording.confirmed}
      recordable={ready}
      angular={instrument.traits.circular}
      single={!instrument.traits.fine_scale}
      offers={
        <>
          <Offers desk={desk} blank="main" />
          <Offers desk={desk} blank="fine" />
          <Asked {...{ desk, instrument }} />
        </>
      }
      onRecord={() => void recording.record()}
      act={positions.more ? say("desk-keep") : say("desk-record-2")}
    />
  );
}

/** What a look at the scales shows, in words. */
const seen = (answer: Answer | null) =>
  answer?.read ? [`${answer.read}.`, ...answer.sentences].join(" ") : say("desk-nothing-entered");

/** What a reading was taken up for, and the way out. */
function Task({ words, onLeave }: { words: string; onLeave: () => void }) {
  return (
    <>
      {words}
      <Button type="link" onClick={onLeave}>
        {say("desk-leave-it")}
      </Button>
    </>
  );
}

const numberOf = ({ id }: Reading, { readings }: Quantity) =>
  readings.findIndex((one) => one.id === id) + 1;

/** What a reading was taken up for, in words; empty for a new one. */
function taskOf(reopened: Reopened | null, quantity: Quantity): string {
  if (!reopened || reopened.to === "show") return "";
  return say(`desk-task-${reopened.to}`, { at: numberOf(reopened.reading, quantity) });
}

/** How the equation of a single reading goes on: less the zero error. */
function singleEnding(node: ReactNode, answer: Answer | null): Ending {
  return {
    readAs: say("desk-read"),
    less: { label: say("desk-zero-error"), part: "zero", as: "minus", node },
    outcome: { label: say("desk-corrected"), text: answer?.corrected },
  };
}

/** From where the pair sweeps that is entered, or that is looked at again. */
function sweptFrom(entered: number | null, looked: Reading | null, { sort, arc }: Quantity) {
  const from = entered ?? looked?.positions[0];
  return sort === "single" || from === undefined ? null : { from, arc };
}
