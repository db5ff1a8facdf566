import { Button, Checkbox, Form, Segmented, Skeleton } from "antd";
import { useState } from "react";
import { Link } from "react-router";

import {
  ApiError,
  newId,
  useAddInstrument,
  useAmendInstrument,
  useDescription,
  useShelf,
  useTools,
  type Description,
  type FineAs,
  type Instrument,
  type Schemas,
  type Sheet,
} from "../api";
import { Working } from "../results/Working";
import { ToolFacts } from "./ToolFacts";
import { ClosedScales } from "./ClosedScales";
import { Counting } from "./Counting";
import type { WhatWasRead } from "./UnitChoice";
import { asked, calledLike, isMetric, type Draft } from "./draft";
import "./instruments.css";
import { Dialog } from "../common/overlays";
import { say } from "../voice";
import { useShowError } from "../common/useShowError";

interface Props {
  sheet: Sheet;
  /** A tool of the sheet that is to be described anew. */
  changing?: Instrument;
  onAdded: (id: string) => void;
  onClose: () => void;
}

/** A tool to begin with: how it is described, and the name it has if it is the student's own. */
interface Pick {
  record: Draft;
  name: string | null;
  description: string;
}

/** Pick one of your tools, or the fine scale by what is seen with the jaws closed. */
export function InstrumentDialog({ sheet, changing, onAdded, onClose }: Props) {
  const { data: shelf } = useShelf();
  const { data: tools } = useTools();
  const [picked, setPicked] = useState<Pick | null>(
    changing ? { record: changing.record, name: changing.name, description: "" } : null,
  );
  if (picked)
    return (
      <Dialog
        title={changing ? changing.name : say("instruments-your-tool")}
        width={1080}
        style={{ top: 24 }}
        onCancel={onClose}
      >
        <Describe
          {...{ sheet, picked, changing, onAdded }}
          onBack={changing ? onClose : () => setPicked(null)}
        />
      </Dialog>
    );
  return (
    <Dialog title={say("instruments-your-tool")} width={900} style={{ top: 40 }} onCancel={onClose}>
      {!shelf && <Skeleton active title={false} />}
      {tools && tools.length > 0 && (
        <>
          <h3>{say("instruments-own-choose")}</h3>
          <div className="shelf">
            {tools.map((tool) => (
              <Card
                key={tool.id}
                title={tool.name}
                words=""
                instrument={tool}
                onPick={() => setPicked({ record: tool.record, name: tool.name, description: "" })}
              />
            ))}
          </div>
        </>
      )}
      <h3>{say("instruments-counts-heading")}</h3>
      <p>
        {say("instruments-counts-how")}{" "}
        <Link to="/instruments">{say("instruments-describe-it")}</Link>.
      </p>
      <div className="shelf">
        {shelf?.map(({ id, title, description, record, instrument }) => (
          <Card
            key={id}
            title={title}
            words={description}
            instrument={instrument}
            onPick={() => setPicked({ record: record, name: null, description })}
          />
        ))}
      </div>
    </Dialog>
  );
}

interface CardProps {
  title: string;
  words: string;
  instrument: Instrument;
  onPick: () => void;
}

function Card({ title, words, instrument, onPick }: CardProps) {
  return (
    <button type="button" className="card shelf-card" onClick={onPick}>
      <b>{title}</b>
      <ClosedScales instrument={instrument} />
      {words && <span className="quiet">{words}</span>}
    </button>
  );
}

interface DescribeProps {
  sheet: Sheet;
  picked: Pick;
  changing: Instrument | undefined;
  onAdded: (id: string) => void;
  onBack: () => void;
}

const MOST_FAULTS = 6;

/** What the other edge of a metric beam usually bears; it is changed like any tool. */
const INCH_EDGE: Draft = {
  kind: "vernier",
  unit: "in",
  main_division: "1/16",
  fine_divisions: 8,
  span: 7,
  range: ["0", "6"],
};

function Describe({ sheet, picked, changing, onAdded, onBack }: DescribeProps) {
  const showError = useShowError();
  const add = useAddInstrument(sheet.id);
  const amend = useAmendInstrument(sheet.id);
  const called = calledLike(picked.record);
  const [record, setRecord] = useState<Draft>({
    ...picked.record,
    name: picked.name ?? `${called} ${sheet.instruments.length + 1}`,
  });
  const [edges, setEdges] = useState(false);
  const [stays, setStays] = useState<WhatWasRead["stays"]>(null);
  const query = useDescription(asked(record));
  const description = query.data;
  const problem = query.error instanceof ApiError ? query.error : null;
  const set = (some: Draft) => setRecord({ ...record, ...some });
  const name = record.name?.trim() ?? "";

  function addNew() {
    const id = newId();
    const instrument: Schemas["NewInstrument"] = { ...asked(record), id, name };
    add.mutate(instrument, {
      onSuccess: () => {
        if (!edges) onAdded(id);
        else
          add.mutate(
            { ...INCH_EDGE, id: newId(), name: say("instruments-inch-edge", { name }) },
            { onSuccess: () => onAdded(id), onError: showError },
          );
      },
      onError: showError,
    });
  }
  function keep() {
    if (!changing) {
      addNew();
      return;
    }
    // What is not told any more is taken away.
    const gone = Object.fromEntries(Object.keys(picked.record).map((field) => [field, null]));
    amend.mutate(
      {
        seen: changing,
        ...(gone as Draft),
        ...asked(record),
        name,
        ...(stays && { what_was_read: stays }),
      },
      { onSuccess: () => onAdded(changing.id) },
    );
  }
  if (!description) return <Skeleton active title={false} />;
  return (
    <Form layout="vertical" onFinish={keep} className="describe">
      <Counting
        draft={record}
        problem={problem}
        onChange={setRecord}
        {...(changing && wasUsed(sheet, changing) && { read: { stays, onStays: setStays } })}
      />
      <Drawn description={description} words={picked.description} />
      <div>
        <ToolFacts draft={record} onChange={set} />
        <Numerals draft={record} description={description} onChange={set} />
        {isMetric(record) && description.traits.slides && !changing && (
          <Form.Item>
            <Checkbox checked={edges} onChange={(event) => setEdges(event.target.checked)}>
              {say("instruments-the-other-edge-as-a-tool")}
            </Checkbox>
          </Form.Item>
        )}
        <FineRead description={description} onChange={set} />
        {amend.error && (
          <div className="look" role="alert">
            <p>{say("instruments-what-was-read-does-not-fit")}</p>
            <ul>
              {faultsOf(amend.error).map((text) => (
                <li key={text}>{text}</li>
              ))}
            </ul>
            <Button onClick={addNew} loading={add.isPending}>
              {say("instruments-keep-old")}
            </Button>
          </div>
        )}
        <div className="page-acts">
          <Button onClick={onBack}>
            {say(changing ? "desk-leave-it" : "derived-another-one")}
          </Button>
          <Button
            type="primary"
            htmlType="submit"
            loading={add.isPending || amend.isPending}
            disabled={name === "" || problem !== null}
          >
            {say(changing ? "instruments-change-it" : "instruments-choose")}
          </Button>
        </div>
      </div>
    </Form>
  );
}

/** Whether something was read with a tool, or its zero looked at. */
const wasUsed = ({ quantities, zero_checks: checks }: Sheet, { id }: Instrument) =>
  checks.some(({ instrument }) => instrument === id) ||
  quantities.some((one) => one.instrument === id && one.reading_count > 0);

/** The tool as it is described so far, and how its least count comes about. */
function Drawn({ description, words }: { description: Description; words: string }) {
  return (
    <div className="card describe-drawing">
      <ClosedScales instrument={description} />
      {words && <p className="quiet">{words}</p>}
      <Working steps={description.derivation} />
      {description.notes.map((note) => (
        <p key={note.text} className={note.warning ? "note warning" : "note"}>
          {note.text}
        </p>
      ))}
      <p>
        {say("instruments-least-count-told", {
          least_count_text: description.least_count_text,
        })}
      </p>
    </div>
  );
}

interface AskedProps {
  draft: Draft;
  description: Description;
  onChange: (some: Draft) => void;
}

/** Whether the numerals of the main scale stand for millimetres or centimetres. */
function Numerals({ draft, description, onChange }: AskedProps) {
  if (!isMetric(draft) || draft.display === true) return null;
  return (
    <Form.Item label={say("instruments-the-numerals-of-the-main-scale")}>
      <Segmented<"mm" | "cm">
        aria-label={say("instruments-the-numerals-of-the-main-scale")}
        value={description.appearance.numerals ?? (draft.unit === "cm" ? "cm" : "mm")}
        onChange={(numerals) => onChange({ numerals })}
        options={[
          { value: "mm", label: say("instruments-numerals-mm") },
          { value: "cm", label: say("instruments-numerals-cm") },
        ]}
      />
    </Form.Item>
  );
}

/** Whether a fine reading is typed as a line, a numeral or a worth. */
function FineRead({ description, onChange }: Omit<AskedProps, "draft">) {
  if (!description.traits.fine_scale) return null;
  return (
    <Form.Item label={say("instruments-fine-entry-label")}>
      <Segmented<FineAs>
        aria-label={say("instruments-fine-entry-label")}
        value={description.appearance.fine_as ?? "line"}
        onChange={(fineAs) => onChange({ fine_as: fineAs })}
        options={[
          { value: "line", label: say("instruments-fine-entry-line") },
          { value: "numeral", label: say("instruments-fine-entry-numeral") },
          { value: "worth", label: say("instruments-its-worth") },
        ]}
      />
    </Form.Item>
  );
}

/** What a change would make impossible: each with where it stands. */
function faultsOf(problem: Error): string[] {
  const faults = problem instanceof ApiError ? problem.faults.map((one) => one.message) : [];
  return faults.length > 0 ? faults.slice(0, MOST_FAULTS) : [problem.message];
}
