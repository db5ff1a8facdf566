import { Button, Input, Segmented, Select } from "antd";
import { useRef, useState } from "react";
import { Link } from "react-router";

import { useAmendSheet, type Sheet } from "../api";
import { WithSheet } from "../sheet/WithSheet";
import "./report.css";

export function ReportPage() {
  return <WithSheet>{(sheet) => <ReportView sheet={sheet} />}</WithSheet>;
}

const WHOLE = "";
type Paper = "a4" | "us-letter";

/** The report as it will be handed in, beside what stands at its head and the forms it comes in. */
function ReportView({ sheet }: { sheet: Sheet }) {
  const [quantity, setQuantity] = useState(WHOLE);
  const [paper, setPaper] = useState<Paper>("a4");
  const frame = useRef<HTMLIFrameElement>(null);
  const wanted = quantity === WHOLE ? "" : `quantity=${encodeURIComponent(quantity)}&`;
  const at = (form: string) => `/api/sheets/${sheet.id}/${form}?${wanted}paper=${paper}`;
  return (
    <div className="report">
      <aside className="report-side">
        <h1>Report</h1>
        <Link to={`/sheets/${sheet.id}`}>{sheet.title || "Untitled sheet"}</Link>
        <ReportHead sheet={sheet} />
        <label>
          Of
          <Select
            aria-label="Report of"
            value={quantity}
            onChange={setQuantity}
            options={[
              { value: WHOLE, label: "the whole sheet" },
              ...sheet.quantities.map(({ id, name }) => ({ value: id, label: name })),
            ]}
          />
        </label>
        <div className="report-forms">
          <Button type="primary" onClick={() => frame.current?.contentWindow?.print()}>
            Print
          </Button>
          <Button href={at("report.pdf")} download>
            PDF
          </Button>
          <Segmented<Paper>
            aria-label="paper"
            value={paper}
            onChange={setPaper}
            options={[
              { value: "a4", label: "A4" },
              { value: "us-letter", label: "Letter" },
            ]}
          />
        </div>
        <h2>For other programs</h2>
        <div className="report-forms">
          <Button href={at("workbook.xlsx")} download>
            Spreadsheet, formulas alive
          </Button>
          <Button href={at("table.csv")} download>
            Table as CSV
          </Button>
          <Button href={at("report.md")} download>
            Markdown
          </Button>
          <Button href={at("report.tex")} download>
            Tables for LaTeX
          </Button>
          <Button href={at("logbook")} download>
            Logbook file
          </Button>
        </div>
      </aside>
      <iframe
        ref={frame}
        // What is changed beside it shows at once.
        key={sheet.version}
        title="The report"
        className="report-page"
        src={at("report")}
      />
    </div>
  );
}

const FIELDS = [
  ["authors", "Names", "Who measured"],
  ["date", "Date", "today"],
  ["aim", "Aim", "What was to be found"],
] as const;

/** What stands at the head; kept as soon as a field is left. */
function ReportHead({ sheet }: { sheet: Sheet }) {
  const amend = useAmendSheet(sheet.id);
  return FIELDS.map(([name, label, hint]) => (
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
