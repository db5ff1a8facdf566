import { CloseCircleFilled } from "@ant-design/icons";
import { Button, Input, Popconfirm, Skeleton } from "antd";
import { useState } from "react";
import { Link, useNavigate } from "react-router";

import {
  useEmptyTrash,
  useExample,
  useNewSheet,
  useRestore,
  useSheets,
  type SheetSummary,
} from "../api";
import { KiteParts } from "../help/KiteParts";
import { TrashButton } from "../sheet/TrashButton";
import { Download } from "../transfer/Download";
import { LoadFile } from "../transfer/LoadFile";
import "./notebook.css";
import { today } from "../common/today";
import { whose } from "../common/whose";
import { say } from "../voice";
import { DRAWN } from "../common/icons";
import { useShowError } from "../common/useShowError";

/** All sheets with their result sentences and open second looks. */
export function NotebookPage() {
  const { data, error, isLoading } = useSheets();
  const [wanted, setWanted] = useState("");
  const navigate = useNavigate();
  const create = useNewSheet();
  const begin = () =>
    create.mutate(
      { title: say("notebook-sheet-of", { date: today() }), date: today() },
      { onSuccess: ({ id }) => void navigate(`/sheets/${id}`) },
    );
  const sheets = (data?.sheets ?? []).filter((sheet) => speaksOf(sheet, wanted));
  return (
    <div className="page">
      <div className="page-head">
        <h1>{say("app-notebook")}</h1>
        <div className="page-acts">
          <Input
            allowClear={{ clearIcon: <CloseCircleFilled {...DRAWN} /> }}
            className="notebook-search"
            placeholder={say("notebook-find-a-sheet-a-quantity-a")}
            aria-label={say("notebook-find-a-sheet-a-quantity-a")}
            value={wanted}
            onChange={(event) => setWanted(event.target.value)}
          />
          <LoadFile />
          <Download from="/api/archive">{say("notebook-save-all")}</Download>
          <Download from="/api/notebook.pdf">{say("notebook-print-all")}</Download>
          <Button onClick={begin} loading={create.isPending}>
            {say("notebook-new-sheet")}
          </Button>
          {data && data.sheets.length > 0 && (
            <Button type="primary" onClick={() => void navigate("/begin")}>
              {say("begin-measure-something")}
            </Button>
          )}
        </div>
      </div>
      {isLoading && <Skeleton active title={false} />}
      {error && <p role="alert">{error.message}</p>}
      {data?.sheets.length === 0 && <FirstVisit />}
      {data && data.sheets.length > 0 && sheets.length === 0 && (
        <div className="card notebook-empty">
          <p>{say("notebook-no-sheet-speaks-of", { wanted })}</p>
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

/** An empty notebook: one large way in, and an example to look at. */
function FirstVisit() {
  const navigate = useNavigate();
  const showError = useShowError();
  const example = useExample();
  return (
    <div className="card notebook-empty">
      <Button
        autoFocus
        type="primary"
        className="notebook-begin"
        onClick={() => void navigate("/begin")}
      >
        {say("begin-measure-something")}
      </Button>
      <p>{say("notebook-no-sheet-yet-a-new-one")}</p>
      <Button
        type="link"
        loading={example.isPending}
        onClick={() =>
          example.mutate(undefined, {
            onSuccess: ({ id, quantities }) =>
              void navigate(`/sheets/${id}/quantities/${quantities[0]?.id ?? ""}`),
            onError: showError,
          })
        }
      >
        {say("notebook-example")}
      </Button>
      <KiteParts />
    </div>
  );
}

function speaksOf(sheet: SheetSummary, wanted: string): boolean {
  const texts = [
    sheet.title,
    sheet.authors,
    sheet.date,
    ...sheet.instruments,
    ...[...sheet.results, ...sheet.derived].map(({ name }) => name),
  ];
  return texts.join(" ").toLowerCase().includes(wanted.trim().toLowerCase());
}

function SheetCard({ sheet }: { sheet: SheetSummary }) {
  const noTool = sheet.damage ? "" : say("notebook-tool-none");
  return (
    <li className="card sheet-card">
      <div className="sheet-card-head">
        <h2>
          <Link to={`/sheets/${sheet.id}`}>{sheet.title || say("sheet-untitled-sheet")}</Link>
        </h2>
        <span className="quiet">{whose(sheet, sheet.instruments.join(", ") || noTool)}</span>
        {sheet.damage && (
          <Download from={`/api/sheets/${sheet.id}/logbook`}>{say("sheet-save")}</Download>
        )}
        <TrashButton id={sheet.id} title={sheet.title} />
      </div>
      {sheet.damage && (
        <p role="alert" className="sheet-damage">
          {say("notebook-damaged", { damage: sheet.damage })}
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
              ? `${result.symbol ? `${result.symbol} = ` : ""}${result.sentence}`
              : say("sheet-quantity-empty")}
          </span>
          <span className="sheet-looks">
            {result.open_looks > 0 && say("second-looks-open", { count: result.open_looks })}
          </span>
        </Link>
      ))}
      {sheet.derived.map((result) => (
        <Link key={result.id} className="sheet-result" to={`/sheets/${sheet.id}`}>
          <span>{result.name}</span>
          <span className="sheet-sentence">{result.sentence ?? say("sheet-quantity-empty")}</span>
          <span className="quiet">{say("notebook-derived")}</span>
        </Link>
      ))}
      {sheet.results.length === 0 && !sheet.damage && (
        <p className="quiet sheet-bare">{say("notebook-empty")}</p>
      )}
    </li>
  );
}

function Trash({ sheets }: { sheets: { id: string; title: string }[] }) {
  const restore = useRestore();
  const empty = useEmptyTrash();
  if (sheets.length === 0) return null;
  return (
    <details className="trash">
      <summary>{say("notebook-trash", { count: sheets.length })}</summary>
      <ul>
        {sheets.map((sheet) => (
          <li key={sheet.id}>
            {sheet.title}{" "}
            <Button type="link" onClick={() => restore.mutate(sheet.id)}>
              {say("notebook-bring-back")}
            </Button>
          </li>
        ))}
      </ul>
      <Popconfirm
        title={say("notebook-empty-for-good", { count: sheets.length })}
        okText={say("notebook-trash-empty")}
        icon={null}
        okButtonProps={{ size: "large" }}
        cancelButtonProps={{ size: "large" }}
        onConfirm={() => empty.mutate()}
      >
        <Button danger loading={empty.isPending}>
          {say("notebook-trash-empty")}
        </Button>
      </Popconfirm>
    </details>
  );
}
