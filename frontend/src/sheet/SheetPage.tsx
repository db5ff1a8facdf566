import { EditOutlined } from "@ant-design/icons";
import { Button, Typography } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";

import { useAmendSheet, type Instrument, type Quantity, type Sheet, type ZeroCheck } from "../api";
import { thatCount } from "../results/thatCount";
import { ConventionChip } from "../common/ConventionChip";
import { ClosedScales } from "../instruments/ClosedScales";
import { InstrumentDialog } from "../instruments/InstrumentDialog";
import { Working } from "../results/Working";
import { Download } from "../transfer/Download";
import { ChangeZero } from "../zero/ChangeZero";
import { ZeroDialog } from "../zero/ZeroDialog";
import { DerivedSection } from "../derived/DerivedSection";
import { QuantityDialog } from "./QuantityDialog";
import "./sheet.css";
import { RemoveMenu } from "../common/RemoveMenu";
import { UndoButtons } from "./UndoButtons";
import { usePlace } from "./usePlace";
import { useRemoval } from "../common/useRemoval";
import { WithSheet } from "./WithSheet";
import { hasPhotographs } from "../photo";
import { say } from "../voice";
import { DRAWN } from "../common/icons";

export function SheetPage() {
  return <WithSheet>{(sheet) => <SheetView sheet={sheet} />}</WithSheet>;
}

/** One investigation: its quantities, the tools and the zeros behind them. */
function SheetView({ sheet }: { sheet: Sheet }) {
  const navigate = useNavigate();
  const amend = useAmendSheet(sheet.id);
  const [adding, setAdding] = useState(false);
  const [changing, setChanging] = useState<Quantity | null>(null);
  usePlace();
  const quantity = (id: string) => `/sheets/${sheet.id}/quantities/${encodeURIComponent(id)}`;
  return (
    <div className="page sheet">
      <div className="page-head">
        <Typography.Title
          level={1}
          editable={{
            onChange: (title) => title.trim() && amend.mutate({ title: title.trim() }),
            icon: <EditOutlined {...DRAWN} />,
            tooltip: say("sheet-rename"),
            maxLength: 200,
          }}
        >
          {sheet.title || say("sheet-untitled-sheet")}
        </Typography.Title>
        {sheet.simulated && <span className="simulated-mark">{say("bench-simulated")}</span>}
        <div className="page-acts">
          <UndoButtons sheet={sheet} />
          <span className="narrow-only">
            <ConventionChip />
          </span>
          <Button onClick={() => void navigate(`/sheets/${sheet.id}/report`)}>
            {say("sheet-report")}
          </Button>
          <Download
            from={`/api/sheets/${sheet.id}/${hasPhotographs(sheet) ? "archive" : "logbook"}`}
          >
            {say("sheet-save")}
          </Download>
          <Button type="primary" onClick={() => setAdding(true)}>
            {say("sheet-new-quantity")}
          </Button>
        </div>
      </div>
      <Quantities
        sheet={sheet}
        path={quantity}
        onNew={() => setAdding(true)}
        onChange={setChanging}
      />
      <DerivedSection sheet={sheet} />
      <Instruments sheet={sheet} />
      {adding && (
        <QuantityDialog
          sheet={sheet}
          onClose={() => setAdding(false)}
          onKept={(id) => void navigate(quantity(id))}
        />
      )}
      {changing && (
        <QuantityDialog
          sheet={sheet}
          changing={changing}
          onClose={() => setChanging(null)}
          onKept={() => setChanging(null)}
        />
      )}
    </div>
  );
}

interface QuantitiesProps {
  sheet: Sheet;
  path: (id: string) => string;
  onNew: () => void;
  onChange: (quantity: Quantity) => void;
}

function Quantities({ sheet, path, onNew, onChange }: QuantitiesProps) {
  const remove = useRemoval(sheet);
  if (sheet.quantities.length === 0)
    return (
      <section className="card sheet-empty">
        <p>{say("sheet-empty")}</p>
        <Button type="primary" onClick={onNew}>
          {say("sheet-begin")}
        </Button>
      </section>
    );
  return (
    <section className="card" aria-label={say("sheet-quantities")}>
      {sheet.quantities.map((quantity) => {
        const open = quantity.flags.filter((f) => f.level === "warning" && !f.settled);
        return (
          <article key={quantity.id} className="sheet-quantity">
            <h2>
              <Link to={path(quantity.id)}>{quantity.name}</Link>
            </h2>
            <span className="sheet-sentence">
              {quantity.result.sentence
                ? `${quantity.symbol ? `${quantity.symbol} = ` : ""}${quantity.result.sentence}`
                : say("sheet-quantity-empty")}
            </span>
            <span className="quiet">
              {say("counted-readings", { count: quantity.reading_count })}
              {thatCount(quantity)}
              {quantity.items > 1 && `, ${say("sheet-stack-of", { count: quantity.items })}`},{" "}
              {quantity.convention_name}
            </span>
            <span>
              <Button type="text" className="quiet" onClick={() => onChange(quantity)}>
                {say("derived-change")}
              </Button>
              <RemoveMenu
                of={[
                  {
                    key: quantity.id,
                    name: say("sheet-with-its-readings", {
                      name: quantity.name,
                      count: quantity.reading_count,
                    }),
                    onRemove: () => remove("quantities", quantity),
                  },
                ]}
              />
            </span>
            {quantity.plan?.says && <p className="quiet sheet-left">{quantity.plan.says}</p>}
            {open.map((flag) => (
              <p key={`${flag.code} ${flag.observation}`} className="sheet-flag">
                {flag.message}
              </p>
            ))}
          </article>
        );
      })}
    </section>
  );
}

const zeroError = ({ error_text }: ZeroCheck, { unit }: Instrument) =>
  say("sheet-zero-error", { error_text, unit });

function Instruments({ sheet }: { sheet: Sheet }) {
  const remove = useRemoval(sheet);
  const [adding, setAdding] = useState(false);
  const [zeroOf, setZeroOf] = useState<string | null>(null);
  const [changing, setChanging] = useState<Instrument | null>(null);
  const zerosOf = ({ id }: Instrument) =>
    sheet.zero_checks.filter((check) => check.instrument === id);
  const looked = sheet.instruments.find(({ id }) => id === zeroOf);
  return (
    <section aria-label={say("sheet-tools")} className="sheet-tools">
      <div className="page-head">
        <h2>{say("sheet-tools-heading")}</h2>
        <Button onClick={() => setAdding(true)}>{say("sheet-tool-add")}</Button>
      </div>
      <div className="tool-cards">
        {sheet.instruments.map((instrument) => (
          <article key={instrument.id} id={instrument.id} className="card tool-card">
            <div className="tool-head">
              <h3>{instrument.name}</h3>
              <span className="part-fine">
                {say("sheet-least-count", { least_count_text: instrument.least_count_text })}
              </span>
            </div>
            <ClosedScales instrument={instrument} />
            <Working steps={instrument.derivation} />
            <ul className="tool-zeros">
              {zerosOf(instrument).map((check) => (
                <li key={check.id} id={check.id}>
                  <span className="part-zero mark-zero">{zeroError(check, instrument)}</span>{" "}
                  <span className="quiet">
                    {[check.face, check.phase].filter(Boolean).join(", ")}
                  </span>
                  <ChangeZero sheet={sheet} instrument={instrument} check={check} />
                </li>
              ))}
            </ul>
            <div className="tool-acts">
              {!instrument.traits.circular && (
                <Button onClick={() => setZeroOf(instrument.id)}>{say("sheet-zero-look")}</Button>
              )}
              <Button type="text" onClick={() => setChanging(instrument)}>
                {say("derived-change")}
              </Button>
              <RemoveMenu
                of={[
                  {
                    key: instrument.id,
                    name: instrument.name,
                    onRemove: () => remove("instruments", instrument),
                  },
                  ...zerosOf(instrument).map((check) => ({
                    key: check.id,
                    name: [zeroError(check, instrument), check.face, check.phase]
                      .filter(Boolean)
                      .join(", "),
                    onRemove: () => remove("zero_checks", check),
                  })),
                ]}
              />
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
      {changing && (
        <InstrumentDialog
          sheet={sheet}
          changing={changing}
          onClose={() => setChanging(null)}
          onAdded={() => setChanging(null)}
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
