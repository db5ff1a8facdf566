import { Link } from "react-router";

import type { SheetSummary } from "../api";
import { whose } from "../common/whose";
import { TrashButton } from "../sheet/TrashButton";
import { Download } from "../transfer/Download";
import { say } from "../voice";

/** A sheet with its result sentences and its open second looks. */
export function SheetCard({ sheet }: { sheet: SheetSummary }) {
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
