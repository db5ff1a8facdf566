import { App, AutoComplete, Button, Result, Spin } from "antd";
import { useEffect, useRef, useState } from "react";
import { Link, useParams } from "react-router";

import {
  newId,
  useAddReading,
  useAmendReading,
  useSheet,
  type Instrument,
  type Quantity,
  type Reading,
  type Sheet,
} from "../api";
import { useChosen, useShow } from "../app/settings";
import { Equation, type EquationHandle } from "../equation/Equation";
import { ResultPanel } from "../results/ResultPanel";
import { Strip } from "../strip";
import { Tally, type LookActions } from "../tally";
import { ZeroTerm } from "../zero/ZeroTerm";
import "./desk.css";
import { Ribbon } from "./Ribbon";
import { useBenchKeys } from "./useBenchKeys";
import { useDesk } from "./useDesk";

export function QuantityPage() {
  const { sheetId = "", quantityId = "" } = useParams();
  const { data: sheet, error, isLoading } = useSheet(sheetId);
  if (isLoading) return <Spin size="large" className="page-wait" />;
  const quantity = sheet?.quantities.find(({ id }) => id === quantityId);
  const instrument = sheet?.instruments.find(({ id }) => id === quantity?.instrument);
  if (!sheet || !quantity || !instrument) {
    const back = <Link to="/">Back to the notebook</Link>;
    return <Result title={error?.message ?? "There is no such quantity here."} extra={back} />;
  }
  return <QuantityDesk key={quantity.id} {...{ sheet, quantity, instrument }} />;
}

interface Props {
  sheet: Sheet;
  quantity: Quantity;
  instrument: Instrument;
}

function QuantityDesk({ sheet, quantity, instrument }: Props) {
  const show = useShow();
  const { message } = App.useApp();
  const { singleKeys } = useChosen();
  const desk = useDesk(sheet.id, instrument, quantity.zero);
  const equation = useRef<EquationHandle>(null);
  const [place, setPlace] = useState("");
  const [changing, setChanging] = useState<Reading | null>(null);
  const [looked, setLooked] = useState<Reading | null>(null);
  const eager = useRef(false);
  const add = useAddReading(sheet.id);
  const amend = useAmendReading(sheet.id);
  const { answer, entry } = desk;

  const fail = (problem: unknown) =>
    void message.error(problem instanceof Error ? problem.message : "This could not be saved.");
  const alter = (reading: Reading, change: Omit<Parameters<typeof amend.mutate>[0], "seen">) =>
    amend.mutate({ seen: reading, ...change }, { onError: fail });

  function record() {
    eager.current = !desk.settled;
    if (eager.current) return;
    if (answer?.read == null || answer.main.value === null || answer.fine.value === null) return;
    const figures = { main: answer.main.value, fine: Number(answer.fine.value) };
    const done = {
      onSuccess: () => {
        desk.clear();
        setChanging(null);
        setLooked(null);
        equation.current?.begin();
      },
      onError: fail,
    };
    if (changing) amend.mutate({ seen: changing, ...figures, place, why: "changed" }, done);
    else if (!add.isPending)
      add.mutate({ id: newId(), quantity: quantity.id, ...figures, place: place || null }, done);
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

  const actions: LookActions = {
    lookAgain: (reading) => {
      setLooked(reading);
      setChanging(null);
      desk.clear();
      equation.current?.begin();
    },
    change: (reading) => {
      setChanging(reading);
      setLooked(null);
      setPlace(reading.place);
      desk.move(reading.position);
      desk.release();
      equation.current?.begin();
    },
    misread: (reading, suggestion) => {
      const { main, second_turn: turn } = suggestion;
      alter(reading, {
        ...(typeof main === "string" ? { main } : {}),
        ...(typeof turn === "boolean" ? { second_turn: turn } : {}),
        why: "misread",
      });
    },
    setAside: (reading, reason) => alter(reading, { excluded: reason }),
    countAgain: (reading) => alter(reading, { excluded: null }),
    stands: (reading, code) => alter(reading, { looked_again: [code] }),
  };

  const last = looked ?? quantity.readings.at(-1) ?? null;
  const position = entry.position ?? answer?.position ?? last?.position ?? 0;
  const places = [...new Set(quantity.readings.map((reading) => reading.place))].filter(Boolean);
  return (
    <div className="desk">
      <header className="desk-head">
        <h1>{quantity.name}</h1>
        <Link to={`/sheets/${sheet.id}`}>{sheet.title}</Link>
        <Ribbon {...{ quantity, instrument, sheet }} />
      </header>
      <section className="stage" aria-label="scales">
        <Strip
          lines={instrument.lines}
          position={position}
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
          <label className="place">
            place
            <AutoComplete
              value={place}
              options={places.map((value) => ({ value }))}
              onChange={(value: string) => setPlace(value)}
              onSelect={() => equation.current?.begin()}
              placeholder="end A"
              maxLength={100}
            />
          </label>
          {changing && (
            <Button
              size="large"
              onClick={() => {
                setChanging(null);
                desk.clear();
              }}
            >
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
      </section>
      <section className="tally-panel" aria-label="readings">
        <Tally
          quantity={quantity}
          instrument={instrument}
          at={(changing ?? looked)?.id ?? null}
          actions={actions}
        />
      </section>
      <ResultPanel quantity={quantity} />
    </div>
  );
}
