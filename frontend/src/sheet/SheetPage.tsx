import { Button, Typography } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";

import { useAmendSheet, type Sheet } from "../api";
import { useShow } from "../app/settings";
import { ClosedScales } from "../instruments/ClosedScales";
import { InstrumentDialog } from "../instruments/InstrumentDialog";
import { Working } from "../results/Working";
import { Download } from "../transfer/Download";
import { ZeroDialog } from "../zero/ZeroDialog";
import { DerivedSection } from "../derived/DerivedSection";
import { QuantityDialog } from "./QuantityDialog";
import "./sheet.css";
import { UndoButtons } from "./UndoButtons";
import { useRemoval } from "./useRemoval";
import { WithSheet } from "./WithSheet";

export function SheetPage() {
  return <WithSheet>{(sheet) => <SheetView sheet={sheet} />}</WithSheet>;
}

/** One investigation: its quantities, the tools and the zeros behind them. */
function SheetView({ sheet }: { sheet: Sheet }) {
  const navigate = useNavigate();
  const amend = useAmendSheet(sheet.id);
  const [adding, setAdding] = useState(false);
  const quantity = (id: string) => `/sheets/${sheet.id}/quantities/${encodeURIComponent(id)}`;
  return (
    <div className="page sheet">
      <div className="page-head">
        <Typography.Title
          level={1}
          editable={{
            onChange: (title) => title.trim() && amend.mutate({ title: title.trim() }),
            tooltip: "Rename the sheet",
            maxLength: 200,
          }}
        >
          {sheet.title || "Untitled sheet"}
        </Typography.Title>
        <div className="page-acts">
          <UndoButtons sheet={sheet} />
          <Button onClick={() => void navigate(`/sheets/${sheet.id}/report`)}>Report</Button>
          <Download from={`/api/sheets/${sheet.id}/logbook`}>Save as a file</Download>
          <Button type="primary" onClick={() => setAdding(true)}>
            New quantity
          </Button>
        </div>
      </div>
      <Quantities sheet={sheet} path={quantity} onNew={() => setAdding(true)} />
      <DerivedSection sheet={sheet} />
      <Instruments sheet={sheet} />
      {adding && (
        <QuantityDialog
          sheet={sheet}
          onClose={() => setAdding(false)}
          onAdded={(id) => void navigate(quantity(id))}
        />
      )}
    </div>
  );
}

interface QuantitiesProps {
  sheet: Sheet;
  path: (id: string) => string;
  onNew: () => void;
}

function Quantities({ sheet, path, onNew }: QuantitiesProps) {
  const show = useShow();
  const remove = useRemoval(sheet);
  if (sheet.quantities.length === 0)
    return (
      <section className="card sheet-empty">
        <p>
          Nothing is measured here yet. Say what you measure and with which tool; its zero comes
          next.
        </p>
        <Button type="primary" onClick={onNew}>
          Begin with a quantity
        </Button>
      </section>
    );
  return (
    <section className="card" aria-label="quantities">
      {sheet.quantities.map((quantity) => {
        const open = quantity.flags.filter((f) => f.level === "warning" && !f.settled);
        return (
          <article key={quantity.id} className="sheet-quantity">
            <h2>
              <Link to={path(quantity.id)}>{quantity.name}</Link>
            </h2>
            <span className="sheet-sentence">
              {quantity.result.sentence
                ? `${quantity.symbol ? `${quantity.symbol} = ` : ""}${show(quantity.result.sentence)}`
                : "no reading yet"}
            </span>
            <span className="quiet">
              {quantity.readings.length} reading{quantity.readings.length === 1 ? "" : "s"}
              {quantity.items > 1 && `, a stack of ${quantity.items}`}, {quantity.convention_name}
            </span>
            <Button type="text" className="quiet" onClick={() => remove("quantities", quantity)}>
              Remove
            </Button>
            {open.map((flag) => (
              <p key={`${flag.code} ${flag.observation}`} className="sheet-flag">
                {show(flag.message)}
              </p>
            ))}
          </article>
        );
      })}
    </section>
  );
}

function Instruments({ sheet }: { sheet: Sheet }) {
  const show = useShow();
  const remove = useRemoval(sheet);
  const [adding, setAdding] = useState(false);
  const [zeroOf, setZeroOf] = useState<string | null>(null);
  const looked = sheet.instruments.find(({ id }) => id === zeroOf);
  return (
    <section aria-label="tools" className="sheet-tools">
      <div className="page-head">
        <h2>Tools and their zeros</h2>
        <Button onClick={() => setAdding(true)}>Add a tool</Button>
      </div>
      <div className="tool-cards">
        {sheet.instruments.map((instrument) => (
          <article key={instrument.id} className="card tool-card">
            <div className="tool-head">
              <h3>{instrument.name}</h3>
              <span className="part-fine">
                {show(`least count ${instrument.least_count_text}`)}
              </span>
            </div>
            <ClosedScales instrument={instrument} />
            <Working steps={instrument.derivation} />
            <ul className="tool-zeros">
              {sheet.zero_checks
                .filter((check) => check.instrument === instrument.id)
                .map((check) => (
                  <li key={check.id}>
                    <span className="part-zero mark-zero">
                      {show(`zero error ${check.error_text} ${instrument.unit}`)}
                    </span>{" "}
                    <span className="quiet">
                      {[check.face, check.phase].filter(Boolean).join(", ")}
                    </span>
                    <Button type="text" onClick={() => remove("zero_checks", check)}>
                      Remove
                    </Button>
                  </li>
                ))}
            </ul>
            <div className="tool-acts">
              {instrument.kind !== "angular" && (
                <Button onClick={() => setZeroOf(instrument.id)}>Look at the zero</Button>
              )}
              <Button type="text" onClick={() => remove("instruments", instrument)}>
                Remove
              </Button>
            </div>
          </article>
        ))}
      </div>
      {adding && (
        <InstrumentDialog
          sheet={sheet}
          onClose={() => setAdding(false)}
          onAdded={() => setAdding(false)}
        />
      )}
      {looked && (
        <ZeroDialog
          sheet={sheet}
          instrument={looked}
          quantity={null}
          onClose={() => setZeroOf(null)}
        />
      )}
    </section>
  );
}
