import { Button, Input, Skeleton } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";

import { useNewSheet, useRestore, useSheets, type SheetSummary } from "../api";
import { useShow } from "../app/settings";
import { TrashButton } from "../sheet/TrashButton";
import { Download } from "../transfer/Download";
import { LoadFile } from "../transfer/LoadFile";
import "./notebook.css";

/** All sheets with their result sentences and open second looks. */
export function NotebookPage() {
  const { data, error, isLoading } = useSheets();
  const [wanted, setWanted] = useState("");
  const navigate = useNavigate();
  const create = useNewSheet();
  const begin = () =>
    create.mutate("New sheet", { onSuccess: ({ id }) => void navigate(`/sheets/${id}`) });
  const sheets = (data?.sheets ?? []).filter((sheet) => speaksOf(sheet, wanted));
  return (
    <div className="page">
      <div className="page-head">
        <h1>Notebook</h1>
        <div className="page-acts">
          <Input
            allowClear
            className="notebook-search"
            placeholder="Find a sheet, a quantity, a tool"
            aria-label="Find a sheet, a quantity, a tool"
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
          />
          <LoadFile />
          <Download from="/api/archive">Save all</Download>
          <Download from="/api/notebook.pdf">All as PDF</Download>
          <Button type="primary" onClick={begin} loading={create.isPending}>
            New sheet
          </Button>
        </div>
      </div>
      {isLoading && <Skeleton active />}
      {error && <p role="alert">{error.message}</p>}
      {data && sheets.length === 0 && (
        <div className="card notebook-empty">
          {wanted ? (
            <p>No sheet speaks of “{wanted}”.</p>
          ) : (
            <p>
              No sheet yet. A new one asks for your tool first, then for its zero, then you read.
            </p>
          )}
        </div>
      )}
      <ul className="notebook">
        {sheets.map((sheet) => (
          <SheetCard key={sheet.id} sheet={sheet} />
        ))}
      </ul>
      <Trash sheets={data?.trash ?? []} />
    </div>
  );
}

function speaksOf(sheet: SheetSummary, wanted: string): boolean {
  const texts = [sheet.title, ...sheet.instruments, ...sheet.results.map(({ name }) => name)];
  return texts.join(" ").toLowerCase().includes(wanted.trim().toLowerCase());
}

function SheetCard({ sheet }: { sheet: SheetSummary }) {
  const show = useShow();
  return (
    <li className="card sheet-card">
      <div className="sheet-card-head">
        <h2>
          <Link to={`/sheets/${sheet.id}`}>{sheet.title || "Untitled sheet"}</Link>
        </h2>
        <span className="quiet">
          {sheet.instruments.join(", ") || (sheet.damage ? "" : "no tool yet")}
        </span>
        {sheet.damage && (
          <Download from={`/api/sheets/${sheet.id}/logbook`}>Save as a file</Download>
        )}
        <TrashButton id={sheet.id} title={sheet.title} />
      </div>
      {sheet.damage && (
        <p role="alert" className="sheet-damage">
          Damaged, and not worked out: {sheet.damage}. What was recorded is kept as it is.
        </p>
      )}
      {sheet.results.map((result) => (
        <Link
          key={result.id}
          className="sheet-result"
          to={`/sheets/${sheet.id}/quantities/${encodeURIComponent(result.id)}`}
        >
          <span>{result.name}</span>
          <span className="sheet-sentence">
            {result.sentence
              ? `${result.symbol ? `${result.symbol} = ` : ""}${show(result.sentence)}`
              : "no reading yet"}
          </span>
          <span className="sheet-looks">
            {result.open_looks > 0 &&
              `${result.open_looks} second look${result.open_looks > 1 ? "s" : ""} open`}
          </span>
        </Link>
      ))}
      {sheet.results.length === 0 && !sheet.damage && (
        <p className="quiet sheet-bare">Nothing measured yet.</p>
      )}
    </li>
  );
}

function Trash({ sheets }: { sheets: { id: string; title: string }[] }) {
  const restore = useRestore();
  if (sheets.length === 0) return null;
  return (
    <details className="trash">
      <summary>In the trash: {sheets.length}</summary>
      <ul>
        {sheets.map((sheet) => (
          <li key={sheet.id}>
            {sheet.title}{" "}
            <Button type="link" onClick={() => restore.mutate(sheet.id)}>
              Bring back
            </Button>
          </li>
        ))}
      </ul>
    </details>
  );
}
