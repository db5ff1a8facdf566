import { App, Result, Spin } from "antd";
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
import { useWaiting } from "../outbox/useOutbox";
import { ResultPanel } from "../results/ResultPanel";
import { Tally, type LookActions } from "../tally";
import { TableDialog } from "../transfer/TableDialog";
import { ConventionChip } from "../app/ConventionChip";
import { AnotherLikeIt } from "./AnotherLikeIt";
import "./desk.css";
import { Ribbon } from "./Ribbon";
import { Stage } from "./Stage";
import { say } from "../voice";

export function QuantityPage() {
  const { sheetId = "", quantityId = "" } = useParams();
  const { data: sheet, error, isLoading } = useSheet(sheetId);
  const { quantity, ...whole } = useQuantity(sheet, quantityId);
  if (isLoading || whole.isLoading) return <Spin size="large" className="page-wait" />;
  const instrument = sheet?.instruments.find(({ id }) => id === quantity?.instrument);
  if (!sheet || !quantity || !instrument) {
    const back = <Link to="/">{say("sheet-back-to-the-notebook")}</Link>;
    return (
      <Result
        title={(error ?? whole.error)?.message ?? say("desk-there-is-no-such-quantity-here")}
        extra={back}
      />
    );
  }
  return <QuantityDesk key={quantity.id} {...{ sheet, quantity, instrument }} />;
}

interface Props {
  sheet: Sheet;
  quantity: Quantity;
  instrument: Instrument;
}

/** A reading taken up from the tally: to be shown on the scales, or to have its figures changed. */
interface TakenUp {
  reading: Reading;
  to: "look" | "change";
}

function QuantityDesk({ sheet, quantity, instrument }: Props) {
  const { message } = App.useApp();
  const [takenUp, setTakenUp] = useState<TakenUp | null>(null);
  const [blind, setBlind] = useState(false);
  const [table, setTable] = useState(false);
  const waiting = useWaiting(sheet.id, quantity.id);
  const amend = useAmendReading(sheet.id);
  const amendQuantity = useAmendQuantity(sheet.id);
  const alter = (reading: Reading, change: Omit<Parameters<typeof amend.mutate>[0], "seen">) =>
    amend.mutate(
      { seen: reading, ...change },
      { onError: (problem) => void message.error(problem.message) },
    );
  const actions: LookActions = {
    lookAgain: (reading) => setTakenUp({ reading, to: "look" }),
    change: (reading) => setTakenUp({ reading, to: "change" }),
    misread: (reading, figures) => alter(reading, { ...figures, why: say("desk-misread") }),
    setAside: (reading, reason) => alter(reading, { excluded: reason }),
    countAgain: (reading) => alter(reading, { excluded: null }),
    stands: (reading, code) => alter(reading, { looked_again: [code] }),
  };
  const changing = takenUp?.to === "change" ? takenUp.reading : null;
  return (
    <div className="desk">
      <header className="desk-head">
        <h1>{quantity.name}</h1>
        <Link to={`/sheets/${sheet.id}`}>{sheet.title}</Link>
        <Ribbon {...{ quantity, instrument, sheet }} />
      </header>
      <Stage
        // A reading to be changed is entered afresh, from where it stands.
        key={changing?.id ?? "new"}
        {...{ sheet, quantity, instrument, changing }}
        looked={takenUp?.to === "look" ? takenUp.reading : null}
        blind={blind}
        onBlind={setBlind}
        onTable={() => setTable(true)}
        onArc={(arc) =>
          amendQuantity.mutate(
            { seen: quantity, arc },
            { onError: (problem) => void message.error(problem.message) },
          )
        }
        onDone={() => setTakenUp(null)}
      />
      {table && (
        <TableDialog
          sheet={sheet.id}
          quantity={quantity.id}
          fineAs={instrument.fine_as ?? "line"}
          onClose={() => setTable(false)}
        />
      )}
      <section className="tally-panel" aria-label={say("desk-readings")}>
        <Tally
          quantity={quantity}
          instrument={instrument}
          at={takenUp?.reading.id ?? null}
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
          convention={<ConventionChip />}
          onLook={(index) => {
            const reading = quantity.readings[index];
            if (reading) setTakenUp({ reading, to: "look" });
          }}
        />
      )}
    </div>
  );
}
