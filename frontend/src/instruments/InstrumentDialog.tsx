import { App, Button, Form, Input, Modal, Segmented, Skeleton } from "antd";
import { useState } from "react";
import { Link } from "react-router";

import {
  newId,
  useAddInstrument,
  useDescription,
  useShelf,
  useTools,
  type FineAs,
  type Instrument,
  type Schemas,
  type Sheet,
} from "../api";
import { Working } from "../results/Working";
import { ToolFacts } from "./ToolFacts";
import { ClosedScales } from "./ClosedScales";
import type { Draft } from "./draft";
import "./instruments.css";
import { say } from "../voice";

interface Props {
  sheet: Sheet;
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
export function InstrumentDialog({ sheet, onAdded, onClose }: Props) {
  const { data: shelf } = useShelf();
  const { data: tools } = useTools();
  const [picked, setPicked] = useState<Pick | null>(null);
  if (picked)
    return (
      <Modal open title={say("instruments-your-tool")} width={900} footer={null} onCancel={onClose}>
        <Describe {...{ sheet, picked, onAdded }} onBack={() => setPicked(null)} />
      </Modal>
    );
  return (
    <Modal
      open
      title={say("instruments-your-tool")}
      width={900}
      style={{ top: 40 }}
      footer={null}
      onCancel={onClose}
    >
      {!shelf && <Skeleton active />}
      {tools && tools.length > 0 && (
        <>
          <h3>{say("instruments-one-of-yours")}</h3>
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
      <h3>{say("instruments-or-by-what-you-count")}</h3>
      <p>
        {say("instruments-close-the-jaws-and-look-how")}{" "}
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
    </Modal>
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
  onAdded: (id: string) => void;
  onBack: () => void;
}

const CALLED = (): Record<string, string> => ({
  vernier: say("instruments-caliper"),
  screw: say("instruments-screw-gauge"),
  angular: say("instruments-divided-circle"),
});

function Describe({ sheet, picked, onAdded, onBack }: DescribeProps) {
  const { message } = App.useApp();
  const add = useAddInstrument(sheet.id);
  const called = CALLED()[picked.record.kind ?? ""] ?? say("instruments-tool");
  const [record, setRecord] = useState<Draft>({
    ...picked.record,
    name: picked.name ?? `${called} ${sheet.instruments.length + 1}`,
  });
  const { data: description } = useDescription(record);
  const set = (some: Draft) => setRecord({ ...record, ...some });
  const name = record.name?.trim() ?? "";

  function keep() {
    const id = newId();
    const instrument: Schemas["NewInstrument"] = { ...record, id, name };
    add.mutate(instrument, {
      onSuccess: () => onAdded(id),
      onError: (problem) => void message.error(problem.message),
    });
  }
  if (!description) return <Skeleton active />;
  const metric = record.unit === "mm" || record.unit === "cm";
  return (
    <Form layout="vertical" onFinish={keep} className="describe">
      <div className="card describe-drawing">
        <ClosedScales instrument={description} />
        {picked.description && <p className="quiet">{picked.description}</p>}
        <Working steps={description.derivation} />
        <p>
          {say("instruments-one-fine-line-is-worth-readings", {
            least_count_text: description.least_count_text,
          })}
        </p>
      </div>
      <div>
        <Form.Item label={say("instruments-what-you-call-it")} htmlFor="tool-name">
          <Input
            id="tool-name"
            value={record.name ?? ""}
            maxLength={200}
            onChange={(event) => set({ name: event.target.value })}
          />
        </Form.Item>
        <ToolFacts draft={record} onChange={set} />
        {metric && (
          <Form.Item label={say("instruments-the-numerals-of-the-main-scale")}>
            <Segmented<"mm" | "cm">
              aria-label={say("instruments-the-numerals-of-the-main-scale")}
              value={description.appearance.numerals ?? (record.unit === "cm" ? "cm" : "mm")}
              onChange={(numerals) => set({ numerals })}
              options={[
                { value: "mm", label: say("instruments-millimetres-10-20-30") },
                { value: "cm", label: say("instruments-centimetres-1-2-3") },
              ]}
            />
          </Form.Item>
        )}
        <Form.Item label={say("instruments-for-the-fine-reading-you-type")}>
          <Segmented<FineAs>
            aria-label={say("instruments-for-the-fine-reading-you-type")}
            value={description.appearance.fine_as ?? "line"}
            onChange={(fineAs) => set({ fine_as: fineAs })}
            options={[
              { value: "line", label: say("instruments-the-lines-number") },
              { value: "numeral", label: say("instruments-the-numeral-at-it") },
              { value: "worth", label: say("instruments-its-worth") },
            ]}
          />
        </Form.Item>
        <div className="page-acts">
          <Button onClick={onBack}>{say("derived-another-one")}</Button>
          <Button type="primary" htmlType="submit" loading={add.isPending} disabled={name === ""}>
            {say("instruments-this-is-mine")}
          </Button>
        </div>
      </div>
    </Form>
  );
}
