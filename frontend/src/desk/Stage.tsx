import { App, Button } from "antd";
import { useCallback, useEffect, useRef, useState } from "react";

import {
  newId,
  useAddReading,
  useAmendReading,
  type Instrument,
  type Quantity,
  type Reading,
  type Sheet,
} from "../api";
import { useChosen, useShow } from "../app/settings";
import { Equation, type EquationHandle } from "../equation/Equation";
import { Strip } from "../strip";
import { ZeroTerm } from "../zero/ZeroTerm";
import { asFields, circumstancesOf, kept, NONE, type Circumstances } from "./circumstances";
import { MoreBlanks } from "./MoreBlanks";
import { PlaceBlank } from "./PlaceBlank";
import { useBenchKeys } from "./useBenchKeys";
import { figuresOf, useSheetDesk } from "./useDesk";

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

/** Strip and equation: where a reading is made. */
export function Stage(props: Props) {
  const { sheet, quantity, instrument, changing, looked, blind, onBlind, onDone } = props;
  const show = useShow();
  const { message } = App.useApp();
  const { singleKeys } = useChosen();
  const desk = useSheetDesk(sheet.id, instrument.id, quantity.zero, {
    fineAs: instrument.fine_as,
    start: changing?.position ?? null,
    estimates: quantity.estimates,
  });
  const equation = useRef<EquationHandle>(null);
  const [given, setGiven] = useState(changing ? circumstancesOf(changing) : NONE);
  const [more, setMore] = useState(false);
  const give = useCallback(
    (some: Partial<Circumstances>) => setGiven((before) => ({ ...before, ...some })),
    [],
  );
  const eager = useRef(false);
  const add = useAddReading(sheet.id);
  const amend = useAmendReading(sheet.id);
  const { answer, entry } = desk;
  const setPlace = useCallback((place: string) => give({ place }), [give]);
  const begin = useCallback(() => equation.current?.begin(), []);

  const fail = (problem: unknown) =>
    void message.error(problem instanceof Error ? problem.message : "This could not be saved.");

  function record() {
    eager.current = !desk.settled;
    if (eager.current || add.isPending) return;
    const figures = answer && figuresOf(answer);
    if (!figures) return;
    const done = {
      onSuccess: () => {
        desk.clear();
        setGiven(kept(given, quantity.readings));
        equation.current?.begin();
        onDone();
      },
      onError: fail,
    };
    const fields = { ...figures, ...asFields(given) };
    if (changing) amend.mutate({ seen: changing, ...fields, why: "changed" }, done);
    else add.mutate({ id: newId(), quantity: quantity.id, ...fields }, done);
  }
  useEffect(() => {
    // Enter was pressed before the last figure had been answered: record with that answer.
    if (eager.current && desk.settled) record();
  });
  useBenchKeys({
    sheet,
    enabled: singleKeys,
    begin: (text) => equation.current?.begin(text),
    onProblem: fail,
  });

  const last = looked ?? quantity.readings.at(-1) ?? null;
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
      />
      <Equation
        ref={equation}
        desk={desk}
        instrument={instrument}
        fineAs={instrument.fine_as}
        autoFocus
        zero={<ZeroTerm {...{ sheet, quantity, instrument }} />}
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
          disabled={answer?.read == null}
          onClick={record}
        >
          {changing
            ? `Change reading ${quantity.readings.findIndex(({ id }) => id === changing.id) + 1}`
            : "Record ⏎"}
        </Button>
      </Equation>
      {more && <MoreBlanks {...{ given, instrument, blind }} onGiven={give} onBlind={onBlind} />}
    </section>
  );
}
