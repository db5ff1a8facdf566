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
import { PlaceBlank } from "./PlaceBlank";
import { useBenchKeys } from "./useBenchKeys";
import { figuresOf, useSheetDesk, type Desk } from "./useDesk";
import { useWakeLock } from "./useWakeLock";

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
  /** The entry was recorded, or left. */
  onDone: () => void;
}

/** The first position of a pair: as it was typed, as a logbook holds it, and where it lies. */
interface FirstPosition {
  entered: Entered;
  figures: NonNullable<ReturnType<typeof figuresOf>>;
  read: string | null;
  position: number | null;
}

const BETWEEN: Record<string, string> = { angular: "swept" };

/** Strip and equation: where a reading is made. */
export function Stage(props: Props) {
  const { sheet, quantity, instrument, changing, looked, blind, onBlind, onDone } = props;
  const show = useShow();
  const { message } = App.useApp();
  const { singleKeys } = useChosen();
  const narrow = useNarrow();
  useWakeLock();
  const paired = quantity.sort === "pair";
  const [first, setFirst] = useState<FirstPosition | null>(null);
  const desk = useSheetDesk(sheet.id, instrument.id, quantity.zero, {
    fineAs: instrument.fine_as,
    start: paired ? null : (changing?.position ?? null),
    estimates: quantity.estimates,
    pair: paired ? { first: first?.entered ?? null } : null,
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
    setFirst(null);
    setGiven(kept(given, quantity.readings));
    equation.current?.begin();
    onDone();
  }
  /** Keeps the position that has been entered as the first of a pair and makes room for the second. */
  function keepFirst(): boolean {
    if (!paired || first !== null) return false;
    const figures = answer && desk.settled ? figuresOf(answer) : null;
    if (figures && answer) {
      setFirst({ entered: entered(), figures, read: answer.read, position: answer.position });
      desk.clear();
      begin();
    }
    return true;
  }
  function takeFirstAgain({ entered: { main, fine, second_turn: secondTurn } }: FirstPosition) {
    desk.type({ main, fine, secondTurn });
    setFirst(null);
    begin();
  }
  function entered(): Entered {
    const { main, fine, secondTurn } = entry;
    return { main, fine, fine_as: instrument.fine_as, second_turn: secondTurn };
  }
  function record() {
    if (keepFirst()) return;
    if (changing) {
      change(changing);
      return;
    }
    // Figures that have not been answered yet (a quick hand, a server away) are kept as they were
    // typed; the server tells what they mean when they reach it.
    const typed = entry.main.trim() !== "" && entry.fine.trim() !== "";
    if (desk.faulty || (desk.settled ? answer?.read == null : !typed)) return;
    post({
      id: newId(),
      sheet: sheet.id,
      quantity: quantity.id,
      instrument: instrument.id,
      entered: first ? [first.entered, entered()] : [entered()],
      estimates: quantity.estimates,
      fields: asFields(given),
      refused: "",
    });
    done();
  }
  function change(reading: Reading) {
    eager.current = !desk.settled;
    const figures = answer && desk.settled ? figuresOf(answer) : null;
    if (!figures) return;
    const looks = first ? { a: first.figures, b: figures } : figures;
    const fields = { ...looks, ...asFields(given) };
    amend.mutate({ seen: reading, ...fields, why: "changed" }, { onSuccess: done, onError: fail });
  }
  useEffect(() => {
    // Enter was pressed before the last figure had been answered: change with that answer.
    if (changing && eager.current && desk.settled) change(changing);
  });
  useBenchKeys({
    sheet,
    enabled: singleKeys,
    begin: (text) => equation.current?.begin(text),
    onProblem: fail,
  });

  const last = paired ? first : (looked ?? quantity.readings.at(-1) ?? null);
  const ending: Ending = !paired
    ? {
        readAs: "read",
        less: {
          label: "zero error",
          part: "zero",
          node: <ZeroTerm {...{ sheet, quantity, instrument }} />,
        },
        outcome: { label: "corrected", text: answer?.corrected },
      }
    : first === null
      ? { readAs: "first position" }
      : {
          readAs: "second position",
          less: {
            label: "first position",
            part: "read",
            node: (
              <button
                type="button"
                className="term-tap"
                aria-label="first position, tap to take it again"
                onClick={() => takeFirstAgain(first)}
              >
                {show(first.read ?? "")}
              </button>
            ),
          },
          outcome: { label: BETWEEN[instrument.kind] ?? "between them", text: answer?.pair?.value },
        };
  const outcome = ending.outcome?.text ?? answer?.read;
  const inUnit = answer && outcome ? `${show(outcome)} ${unit}` : "";
  return (
    <section className="stage" aria-label="scales">
      <Strip
        instrument={instrument}
        face={quantity.face || "outside"}
        position={entry.position ?? answer?.position ?? last?.position ?? 0}
        live={answer !== null || looked !== null}
        answer={answer}
        zeroError={quantity.zero_error}
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
          {paired && !first
            ? "Keep the first ⏎"
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
          onKey={(key) => equation.current?.press(key)}
          onRecord={record}
          act={paired && !first ? "Keep first" : "Record"}
        />
      )}
      {more && <MoreBlanks {...{ given, instrument, blind }} onGiven={give} onBlind={onBlind} />}
    </section>
  );
}

/** Whether there is something to record: a reading, or figures that the server will make one. */
function recordable({ away, answer, entry }: Desk): boolean {
  return away ? entry.main.trim() !== "" && entry.fine.trim() !== "" : answer?.read != null;
}
