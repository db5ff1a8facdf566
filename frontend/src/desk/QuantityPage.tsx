import { Result, Spin } from "antd";
import { useState } from "react";
import { Link, useParams } from "react-router";

import {
  useAmendQuantity,
  useAmendReading,
  useQuantity,
  useSheet,
  type Instrument,
  type Quantity,
  type Reading,
  type Sheet,
} from "../api";
import { BenchProvider } from "../bench/AtBench";
import { useWaiting } from "../outbox/useOutbox";
import { PhotoOfRow } from "../photo";
import { ResultPanel } from "../results/ResultPanel";
import { Tally, type LookActions } from "../tally";
import { QuantityDialog } from "../sheet/QuantityDialog";
import { TableDialog } from "../transfer/TableDialog";
import { ConventionChip } from "../common/ConventionChip";
import { goOn } from "../common/hand";
import { AnotherLikeIt } from "./AnotherLikeIt";
import "./desk.css";
import { OfTheThing } from "./OfTheThing";
import { PlanDialog } from "./PlanDialog";
import { Ribbon } from "./Ribbon";
import { toAsk, type Reopened } from "../tally/reopened";
import { Stage } from "./Stage";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

export function QuantityPage() {
  const { sheetId = "", quantityId = "" } = useParams();
  const { data: sheet, error, isLoading } = useSheet(sheetId);
  const { quantity, ...whole } = useQuantity(sheet, quantityId);
  if (isLoading || whole.isLoading) return <Spin size="large" className="page-wait" />;
  const instrument = sheet?.instruments.find(({ id }) => id === quantity?.instrument);
  if (!sheet || !quantity || !instrument) {
    const back = <Link to="/">{say("sheet-leave")}</Link>;
    return (
      <Result
        title={(error ?? whole.error)?.message ?? say("desk-quantity-missing")}
        extra={back}
      />
    );
  }
  const desk = <QuantityDesk key={quantity.id} {...{ sheet, quantity, instrument }} />;
  if (!quantity.simulated) return desk;
  return <BenchProvider {...{ sheet, quantity }}>{desk}</BenchProvider>;
}

interface Props {
  sheet: Sheet;
  quantity: Quantity;
  instrument: Instrument;
}

function QuantityDesk({ sheet, quantity, instrument }: Props) {
  const showError = useShowError();
  const [takenUp, setTakenUp] = useState<Reopened | null>(null);
  const [made, setMade] = useState<string | null>(null);
  const [blind, setBlind] = useState(false);
  const [table, setTable] = useState(false);
  const [planning, setPlanning] = useState(false);
  const [describing, setDescribing] = useState(false);
  const [photographed, setPhotographed] = useState<Reading | null>(null);
  const waiting = useWaiting(sheet.id, quantity.id);
  const amend = useAmendReading(sheet.id);
  const amendQuantity = useAmendQuantity(sheet.id);
  const alter = (reading: Reading, change: Omit<Parameters<typeof amend.mutate>[0], "seen">) =>
    amend.mutate({ seen: reading, ...change }, { onError: showError, onSettled: () => goOn() });
  const actions: LookActions = {
    show: (reading) => setTakenUp({ reading, to: "show" }),
    lookAgain: (reading) => setTakenUp({ reading, to: "again" }),
    change: (reading) => setTakenUp({ reading, to: "change" }),
    amend: (reading, { fields, why }) => alter(reading, why ? { ...fields, why } : fields),
    setAside: (reading, reason) => alter(reading, { excluded: reason }),
    countAgain: (reading) => alter(reading, { excluded: null }),
    photograph: setPhotographed,
  };
  const asked = toAsk(quantity, made);
  const changing = takenUp && takenUp.to !== "show" ? takenUp.reading : null;
  return (
    <div className="desk">
      <header className="desk-head">
        <h1>{quantity.name}</h1>
        <Link to={`/sheets/${sheet.id}`}>{sheet.title}</Link>
        {quantity.simulated && <span className="simulated-mark">{say("bench-simulated")}</span>}
        <Ribbon {...{ quantity, instrument, sheet }} onPlan={() => setPlanning(true)} />
        <OfTheThing {...{ sheet, quantity }} />
      </header>
      <Stage
        // A reading to be changed is entered afresh, from where it stands.
        key={changing?.id ?? "new"}
        {...{ sheet, quantity, instrument, blind, actions }}
        reopened={takenUp}
        asked={blind ? null : asked}
        made={made}
        onMade={setMade}
        onBlind={setBlind}
        onTable={() => setTable(true)}
        onPlan={() => setPlanning(true)}
        onDescribe={() => setDescribing(true)}
        onArc={(arc) => amendQuantity.mutate({ seen: quantity, arc }, { onError: showError })}
        onDone={() => setTakenUp(null)}
      />
      {table && (
        <TableDialog sheet={sheet.id} quantity={quantity.id} onClose={() => setTable(false)} />
      )}
      {describing && (
        <QuantityDialog
          sheet={sheet}
          changing={quantity}
          onKept={() => setDescribing(false)}
          onClose={() => setDescribing(false)}
        />
      )}
      {planning && (
        <PlanDialog
          sheet={sheet.id}
          quantity={quantity}
          zero={quantity.sort === "single" && !instrument.traits.circular}
          onClose={() => setPlanning(false)}
        />
      )}
      {photographed && (
        <PhotoOfRow
          sheet={sheet.id}
          {...{ quantity, instrument }}
          reading={photographed}
          onClose={() => setPhotographed(null)}
        />
      )}
      <section className="tally-panel" aria-label={say("desk-readings")}>
        <Tally
          sheet={sheet.id}
          quantity={quantity}
          instrument={instrument}
          reopened={takenUp}
          asked={asked?.flag ?? null}
          actions={actions}
          blind={blind}
          waiting={waiting}
        />
      </section>
      {blind ? (
        <section className="result-panel" aria-label={say("desk-result")}>
          <p className="result-head">{say("desk-hidden-while-you-read-blind")}</p>
        </section>
      ) : (
        <ResultPanel
          sheet={sheet.id}
          quantity={quantity}
          another={<AnotherLikeIt {...{ sheet, quantity }} />}
          convention={
            <span className="narrow-only">
              <ConventionChip />
            </span>
          }
          onLook={(index) => {
            const reading = quantity.readings[index];
            if (reading) actions.show(reading);
          }}
        />
      )}
    </div>
  );
}
