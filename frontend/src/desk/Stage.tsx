import { App, Button } from "antd";
import { useCallback, useEffect, useRef, useState } from "react";

import {
  newId,
  useAmendReading,
  type Instrument,
  type Quantity,
  type Reading,
  type Sheet,
} from "../api";
import { useChosen, useShow } from "../app/settings";
import { Equation, type Ending, type EquationHandle } from "../equation/Equation";
import { Keypad } from "../equation/Keypad";
import { useNarrow } from "../equation/useNarrow";
import type { Entered } from "../outbox/outbox";
import { post } from "../outbox/useOutbox";
import { Strip } from "../strip";
import { ZeroTerm } from "../zero/ZeroTerm";
import { asFields, circumstancesOf, kept, NONE, type Circumstances } from "./circumstances";
import { MoreBlanks } from "./MoreBlanks";
import { pairEnding } from "./pairEnding";
import { PlaceBlank } from "./PlaceBlank";
import { useBenchKeys } from "./useBenchKeys";
import { figuresOf, useSheetDesk, type Desk } from "./useDesk";
import { asLooks, usePositions, type Position } from "./usePositions";
import { useWakeLock } from "./useWakeLock";
import { useWhole } from "./useWhole";

interface Props {
  sheet: Sheet;
  quantity: Quantity;
  instrument: Instrument;
  /** A reading whose figures are being changed. */
  changing: Reading | null;
  /** A reading that is shown on the scales to be looked at again. */
  looked: Reading | null;
  /** Whether earlier figures are hidden while reading. */
  blind: boolean;
  onBlind: (blind: boolean) => void;
  /** Readings are to come from a table. */
  onTable: () => void;
  /** The sweeps of this quantity are to go the other way round. */
  onArc: (arc: Quantity["arc"]) => void;
  /** The entry was recorded, or left. */
  onDone: () => void;
}

/** Strip and equation: where a reading is made. */
export function Stage(props: Props) {
  const { sheet, quantity, instrument, changing, looked, blind, onBlind, onTable, onArc, onDone } =
    props;
  const show = useShow();
  const { message } = App.useApp();
  const { singleKeys } = useChosen();
  const narrow = useNarrow();
  const whole = useWhole<HTMLElement>();
  useWakeLock();
  const paired = quantity.sort !== "single";
  const positions = usePositions(quantity.sort);
  const { before, more: others } = positions;
  const desk = useSheetDesk(sheet.id, instrument.id, quantity.zero, {
    fineAs: instrument.fine_as,
    start: paired ? null : (changing?.position ?? null),
    estimates: quantity.estimates,
    pairing: {
      sort: quantity.sort,
      arc: quantity.arc,
      halved: quantity.divide_by === 2,
      earlier: positions.kept.map(({ entered }) => entered),
    },
  });
  const equation = useRef<EquationHandle>(null);
  const [given, setGiven] = useState(changing ? circumstancesOf(changing) : NONE);
  const [more, setMore] = useState(false);
  const [confirmed, setConfirmed] = useState("");
  const give = useCallback(
    (some: Partial<Circumstances>) => setGiven((before) => ({ ...before, ...some })),
    [],
  );
  const eager = useRef(false);
  const amend = useAmendReading(sheet.id);
  const { answer, entry } = desk;
  const unit = instrument.kind === "angular" ? "" : instrument.unit;
  const setPlace = useCallback((place: string) => give({ place }), [give]);
  const begin = useCallback(() => equation.current?.begin(), []);

  const fail = (problem: unknown) =>
    void message.error(problem instanceof Error ? problem.message : "This could not be saved.");

  function done() {
    setConfirmed(desk.settled ? inUnit : `${entry.main} + ${entry.fine}`);
    desk.clear();
    positions.clear();
    setGiven(kept(given, quantity.readings));
    equation.current?.begin();
    onDone();
  }
  /** Keeps the position that has been entered and makes room for the next. */
  function keepPosition() {
    if (desk.settled && answer?.read == null) return;
    positions.keep(entered(), desk.settled ? answer : null);
    desk.clear();
    begin();
  }
  function takeBack({ entered: { main, fine, second_turn: secondTurn } }: Position) {
    desk.type({ main, fine, secondTurn });
    positions.takeBack();
    begin();
  }
  function entered(): Entered {
    const { main, fine, secondTurn } = entry;
    return { main, fine, fine_as: instrument.fine_as, second_turn: secondTurn };
  }
  function record() {
    // Figures that have not been answered yet (a quick hand, a server away) are kept as they were
    // typed; the server tells what they mean when they reach it.
    const typed = entry.main.trim() !== "" && entry.fine.trim() !== "" && !desk.faulty;
    if (others && desk.away && typed) {
      keepPosition();
      return;
    }
    if (others || changing) {
      // Enter came before the last figure had been answered: it is done with that answer.
      eager.current = !desk.settled;
      if (desk.settled) withAnswer();
      return;
    }
    if (desk.settled ? answer?.read == null : !typed) return;
    post({
      id: newId(),
      sheet: sheet.id,
      quantity: quantity.id,
      entered: [...positions.kept.map((one) => one.entered), entered()],
      fields: asFields(given),
      refused: "",
    });
    done();
  }
  function withAnswer() {
    eager.current = false;
    if (others) keepPosition();
    else if (changing) change(changing);
  }
  function change(reading: Reading) {
    const figures = [...positions.kept.map((one) => one.figures), answer && figuresOf(answer)];
    const known = figures.filter((one) => one !== null);
    if (known.length < figures.length) return;
    const looks = asLooks(known);
    const fields = { ...looks, ...asFields(given) };
    amend.mutate({ seen: reading, ...fields, why: "changed" }, { onSuccess: done, onError: fail });
  }
  useEffect(() => {
    if (eager.current && desk.settled) withAnswer();
  });
  useBenchKeys({
    sheet,
    enabled: singleKeys,
    begin: (text) => equation.current?.begin(text),
    onProblem: fail,
  });

  const last = looked ?? quantity.readings.at(-1) ?? null;
  const rest = paired ? (before?.position.position ?? last?.positions[1]) : last?.position;
  const ending: Ending = !paired
    ? {
        readAs: "read",
        less: {
          label: "zero error",
          part: "zero",
          as: "minus",
          node: <ZeroTerm {...{ sheet, quantity, instrument }} />,
        },
        outcome: { label: "corrected", text: answer?.corrected },
      }
    : pairEnding(positions, instrument, answer, show, takeBack);
  const outcome = ending.outcome?.text ?? answer?.read;
  const inUnit = answer && outcome ? `${show(outcome)} ${unit}` : "";
  return (
    <section ref={whole} className="stage" aria-label="scales">
      <Strip
        instrument={instrument}
        face={quantity.face || "outside"}
        position={entry.position ?? answer?.position ?? rest ?? 0}
        live={answer !== null || looked !== null}
        answer={answer}
        zeroError={quantity.zero_error}
        swept={sweptFrom(positions.sweptFrom, looked, quantity)}
        label={`scales of ${instrument.name}`}
        readOut={show(answer?.read ?? "nothing entered")}
        onMove={desk.move}
        onRelease={desk.release}
        onTurn={({ main, second_turn: secondTurn }) => {
          desk.type({ main, secondTurn });
          begin();
        }}
      />
      <Equation
        ref={equation}
        desk={desk}
        instrument={instrument}
        fineAs={instrument.fine_as}
        autoFocus
        padded
        ending={ending}
        onEnter={record}
      >
        <PlaceBlank
          place={given.place}
          readings={quantity.readings}
          onPlace={setPlace}
          onPicked={begin}
        />
        <Button type="text" aria-expanded={more} onClick={() => setMore(!more)}>
          {more ? "Less" : "More"}
        </Button>
        {changing && (
          <Button size="large" onClick={onDone}>
            Leave it
          </Button>
        )}
        <Button
          type="primary"
          size="large"
          className="record"
          disabled={!recordable(desk)}
          onClick={record}
        >
          {others
            ? "Keep it, next ⏎"
            : changing
              ? `Change reading ${quantity.readings.findIndex(({ id }) => id === changing.id) + 1}`
              : "Record ⏎"}
        </Button>
      </Equation>
      {narrow && (
        <Keypad
          corrected={inUnit}
          kept={confirmed}
          recordable={recordable(desk)}
          angular={instrument.kind === "angular"}
          onKey={(key) => equation.current?.press(key)}
          onRecord={record}
          act={others ? "Keep" : "Record"}
        />
      )}
      {more && (
        <MoreBlanks
          {...{ given, quantity, instrument, blind, onBlind, onTable, onArc }}
          onGiven={give}
        />
      )}
    </section>
  );
}

/** From where the pair sweeps that is entered, or that is looked at again. */
function sweptFrom(entered: number | null, looked: Reading | null, { sort, arc }: Quantity) {
  const from = entered ?? looked?.positions[0];
  return sort === "single" || from === undefined ? null : { from, arc };
}

/** Whether there is something to record: a reading, or figures that the server will make one. */
function recordable({ away, answer, entry }: Desk): boolean {
  return away ? entry.main.trim() !== "" && entry.fine.trim() !== "" : answer?.read != null;
}
