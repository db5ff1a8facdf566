import { useQueryClient } from "@tanstack/react-query";
import { Button, Checkbox, Input, Segmented, Select } from "antd";
import { Fragment, useEffect, useRef, useState } from "react";
import { Link } from "react-router";
import { debounce } from "throttle-debounce";

import {
  sheetKey,
  useAmendSheet,
  useChangeSettings,
  useForms,
  useSettingsQuery,
  type Sheet,
  type SheetForm,
} from "../api";
import { saved } from "../common/saved";
import { hasPhotographs } from "../photo";
import { WithSheet } from "../sheet/WithSheet";
import { Download } from "../transfer/Download";
import "./report.css";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

export default function ReportPage() {
  return <WithSheet>{(sheet) => <ReportView sheet={sheet} />}</WithSheet>;
}

const WHOLE = "";
type Paper = "a4" | "us-letter";
type Length = "full" | "short" | "working";

/** The report as it will be handed in, beside what stands at its head and the forms it comes in. */
function ReportView({ sheet }: { sheet: Sheet }) {
  const [quantity, setQuantity] = useState(WHOLE);
  const [paper, setPaper] = useState<Paper>("a4");
  const [length, setLength] = useState<Length>("full");
  const of = quantity === WHOLE ? "" : `quantity=${encodeURIComponent(quantity)}&`;
  const pictured = hasPhotographs(sheet);
  const [shown, setShown] = useState(false);
  const wanted = `${of}length=${length}&photographs=${String(shown && pictured)}&`;
  const at = (form: string) => `/api/sheets/${sheet.id}/${form}?${wanted}paper=${paper}`;
  const { data: forms = [] } = useForms();
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
              { value: WHOLE, label: say("report-scope-sheet") },
              ...sheet.quantities.map(({ id, name }) => ({ value: id, label: name })),
            ]}
          />
        </label>
        <Segmented<Length>
          aria-label={say("report-length")}
          value={length}
          onChange={setLength}
          options={(["full", "short", "working"] as const).map((value) => ({
            value,
            label: say(`report-length-${value}`),
          }))}
        />
        {pictured && (
          <Checkbox checked={shown} onChange={({ target }) => setShown(target.checked)}>
            {say("report-with-photographs")}
          </Checkbox>
        )}
        <div className="report-forms">
          <Button type="primary" onClick={() => void print()}>
            {say("report-print")}
          </Button>
          <Downloads forms={forms.filter(({ printed }) => printed)} at={at} />
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
        <h2>{say("report-forms-other")}</h2>
        <div className="report-forms">
          <Downloads forms={forms.filter(({ printed }) => !printed)} at={at} />
          <Download from={at("logbook")}>{say("report-logbook-file")}</Download>
          {pictured && (
            <Download from={`/api/sheets/${sheet.id}/archive`}>
              {say("report-logbook-and-photographs")}
            </Download>
          )}
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

function Downloads({ forms, at }: { forms: SheetForm[]; at: (address: string) => string }) {
  return forms.map(({ address, label }) => (
    <Download key={address} from={at(address)}>
      {label}
    </Download>
  ));
}

/** Prints the page in the frame once it shows what was typed last. */
function usePrinting(sheet: Sheet) {
  const queries = useQueryClient();
  const showError = useShowError();
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
      showError(problem);
    }
  };
  return { frame, onLoad, print };
}

const FIELDS = () =>
  [
    ["authors", say("report-names"), say("report-who-measured")],
    ["date", say("report-date"), say("report-today")],
    ["aim", say("report-aim"), say("report-aim-heading")],
  ] as const;

/** How long a hand rests before what it typed so far is kept. */
const RESTS_MS = 500;

/** What stands at the head; the report follows while it is typed. */
function ReportHead({ sheet }: { sheet: Sheet }) {
  return FIELDS().map(([name, label, hint]) => (
    <Fragment key={name}>
      <HeadField {...{ sheet, name, label, hint }} />
      {name === "authors" && <AlwaysWho authors={sheet.authors} />}
    </Fragment>
  ));
}

/** Whoever says at a first report who measures need not say it again. */
function AlwaysWho({ authors }: { authors: string }) {
  const { data: settings } = useSettingsQuery();
  const change = useChangeSettings();
  const showError = useShowError();
  if (!authors || settings?.authors !== "") return null;
  return (
    <Button
      type="link"
      className="report-always"
      onClick={() => change.mutate({ authors }, { onError: showError })}
    >
      {say("settings-who-measures-always")}
    </Button>
  );
}

interface FieldProps {
  sheet: Sheet;
  name: "authors" | "date" | "aim";
  label: string;
  hint: string;
}

const LONGEST = { authors: 500, date: 100, aim: 2000 };

function HeadField({ sheet, name, label, hint }: FieldProps) {
  const amend = useAmendSheet(sheet.id);
  const known = useRef(sheet[name]);
  const keep = (typed: string) => {
    const text = typed.trim();
    if (text === known.current) return;
    known.current = text;
    amend.mutate({ [name]: text });
  };
  const later = useLater(keep);
  return (
    <label>
      {label}
      <Input.TextArea
        aria-label={label}
        autoSize
        maxLength={LONGEST[name]}
        placeholder={hint}
        defaultValue={sheet[name]}
        onChange={(event) => later(event.target.value)}
        onBlur={(event) => keep(event.target.value)}
      />
    </label>
  );
}

/** Calls what was given last, once the hand rests. */
function useLater(call: (text: string) => void) {
  const latest = useRef(call);
  const debounced = useRef<(text: string) => void>(null);
  useEffect(() => {
    latest.current = call;
  });
  useEffect(() => {
    const waiting = debounce(RESTS_MS, (text: string) => latest.current(text));
    debounced.current = waiting;
    return () => waiting.cancel();
  }, []);
  return (text: string) => debounced.current?.(text);
}
