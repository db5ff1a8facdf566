import { useQueryClient } from "@tanstack/react-query";
import { App, Button, Input, Segmented, Select } from "antd";
import { useRef, useState } from "react";
import { Link } from "react-router";

import { sheetKey, useAmendSheet, type Sheet } from "../api";
import { saved } from "../app/saved";
import { WithSheet } from "../sheet/WithSheet";
import { Download } from "../transfer/Download";
import "./report.css";
import { say } from "../voice";

export default function ReportPage() {
  return <WithSheet>{(sheet) => <ReportView sheet={sheet} />}</WithSheet>;
}

const WHOLE = "";
type Paper = "a4" | "us-letter";

/** The report as it will be handed in, beside what stands at its head and the forms it comes in. */
function ReportView({ sheet }: { sheet: Sheet }) {
  const [quantity, setQuantity] = useState(WHOLE);
  const [paper, setPaper] = useState<Paper>("a4");
  const wanted = quantity === WHOLE ? "" : `quantity=${encodeURIComponent(quantity)}&`;
  const at = (form: string) => `/api/sheets/${sheet.id}/${form}?${wanted}paper=${paper}`;
  const { frame, onLoad, print } = usePrinting(sheet);
  return (
    <div className="report">
      <aside className="report-side">
        <h1>{say("sheet-report")}</h1>
        <Link to={`/sheets/${sheet.id}`}>{sheet.title || say("sheet-untitled-sheet")}</Link>
        <ReportHead sheet={sheet} />
        <label>
          {say("report-of")}
          <Select
            aria-label={say("report-report-of")}
            value={quantity}
            onChange={setQuantity}
            options={[
              { value: WHOLE, label: say("report-the-whole-sheet") },
              ...sheet.quantities.map(({ id, name }) => ({ value: id, label: name })),
            ]}
          />
        </label>
        <div className="report-forms">
          <Button type="primary" onClick={() => void print()}>
            {say("report-print")}
          </Button>
          <Download from={at("report.pdf")}>{say("report-pdf")}</Download>
          <Segmented<Paper>
            aria-label={say("report-paper")}
            value={paper}
            onChange={setPaper}
            options={[
              { value: "a4", label: "A4" },
              { value: "us-letter", label: say("report-letter") },
            ]}
          />
        </div>
        <h2>{say("report-for-other-programs")}</h2>
        <div className="report-forms">
          <Download from={at("workbook.xlsx")}>{say("report-spreadsheet-formulas-alive")}</Download>
          <Download from={at("table.csv")}>{say("report-table-as-csv")}</Download>
          <Download from={at("table-to-read.csv")}>{say("report-table-to-read")}</Download>
          <Download from={at("report.md")}>{say("report-markdown")}</Download>
          <Download from={at("report.tex")}>{say("report-tables-for-latex")}</Download>
          <Download from={at("logbook")}>{say("report-logbook-file")}</Download>
        </div>
      </aside>
      <iframe
        ref={frame}
        // What is changed beside it shows at once.
        key={sheet.version}
        title={say("report-the-report")}
        className="report-page"
        src={at("report")}
        onLoad={onLoad}
      />
    </div>
  );
}

/** Prints the page in the frame once it shows what was typed last. */
function usePrinting(sheet: Sheet) {
  const queries = useQueryClient();
  const { message } = App.useApp();
  const frame = useRef<HTMLIFrameElement>(null);
  const shown = useRef(0);
  const wanted = useRef(false);
  const look = () => {
    const latest = queries.getQueryData<Sheet>(sheetKey(sheet.id))?.version;
    if (!wanted.current || shown.current !== latest) return;
    wanted.current = false;
    frame.current?.contentWindow?.print();
  };
  const onLoad = () => {
    shown.current = sheet.version;
    look();
  };
  const print = async () => {
    try {
      await saved(queries);
      wanted.current = true;
      look();
    } catch (problem) {
      void message.error((problem as Error).message);
    }
  };
  return { frame, onLoad, print };
}

const FIELDS = () =>
  [
    ["authors", say("report-names"), say("report-who-measured")],
    ["date", say("report-date"), say("report-today")],
    ["aim", say("report-aim"), say("report-what-was-to-be-found")],
  ] as const;

/** What stands at the head; kept as soon as a field is left. */
function ReportHead({ sheet }: { sheet: Sheet }) {
  const amend = useAmendSheet(sheet.id);
  return FIELDS().map(([name, label, hint]) => (
    <label key={name}>
      {label}
      <Input.TextArea
        aria-label={label}
        autoSize
        maxLength={name === "aim" ? 2000 : name === "date" ? 100 : 500}
        placeholder={hint}
        defaultValue={sheet[name]}
        onBlur={(event) => {
          const text = event.target.value.trim();
          if (text !== sheet[name]) amend.mutate({ [name]: text });
        }}
      />
    </label>
  ));
}
