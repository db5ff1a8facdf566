import { App, Button, Form, Input, Modal, Segmented, Skeleton } from "antd";
import { useState } from "react";

import {
  newId,
  useAddInstrument,
  useShelf,
  type FineAs,
  type Pattern,
  type Schemas,
  type Sheet,
} from "../api";
import { useShow } from "../app/settings";
import { Working } from "../results/Working";
import { ClosedScales } from "./ClosedScales";
import "./instruments.css";

interface Props {
  sheet: Sheet;
  onAdded: (id: string) => void;
  onClose: () => void;
}

/** Pick the fine scale by what is seen with the jaws closed; its least count by both routes. */
export function InstrumentDialog({ sheet, onAdded, onClose }: Props) {
  const { data: shelf } = useShelf();
  const [picked, setPicked] = useState<Pattern | null>(null);
  return (
    <Modal open title="Your tool" width={900} footer={null} onCancel={onClose}>
      {!shelf && <Skeleton active />}
      {shelf && !picked && (
        <>
          <p>
            Close the jaws and look: how many fine divisions are there, and which mark does the last
            one meet?
          </p>
          <div className="shelf">
            {shelf.map((pattern) => (
              <button
                key={pattern.id}
                type="button"
                className="card shelf-card"
                onClick={() => setPicked(pattern)}
              >
                <b>{pattern.title}</b>
                <ClosedScales lines={pattern.instrument.lines} />
                <span className="quiet">{pattern.description}</span>
              </button>
            ))}
          </div>
        </>
      )}
      {picked && (
        <Describe sheet={sheet} pattern={picked} onAdded={onAdded} onBack={() => setPicked(null)} />
      )}
    </Modal>
  );
}

interface DescribeProps {
  sheet: Sheet;
  pattern: Pattern;
  onAdded: (id: string) => void;
  onBack: () => void;
}

function Describe({ sheet, pattern, onAdded, onBack }: DescribeProps) {
  const show = useShow();
  const { message } = App.useApp();
  const add = useAddInstrument(sheet.id);
  const [name, setName] = useState(`Caliper ${sheet.instruments.length + 1}`);
  const [numerals, setNumerals] = useState<"mm" | "cm">("mm");
  const [fineAs, setFineAs] = useState<FineAs>("line");
  const { instrument } = pattern;

  function keep() {
    const id = newId();
    const record = pattern.record as Schemas["NewInstrument"];
    add.mutate(
      { ...record, id, name: name.trim(), numerals, fine_as: fineAs },
      {
        onSuccess: () => onAdded(id),
        onError: (problem) => void message.error(problem.message),
      },
    );
  }
  return (
    <Form layout="vertical" onFinish={keep} className="describe">
      <div className="card describe-drawing">
        <ClosedScales lines={instrument.lines} />
        <p className="quiet">{pattern.description}</p>
        <Working steps={instrument.derivation} />
        <p>
          {show(
            `One fine line is worth ${instrument.least_count} mm. Readings are given to that, no finer.`,
          )}
        </p>
      </div>
      <div>
        <Form.Item label="What you call it" htmlFor="tool-name">
          <Input
            id="tool-name"
            value={name}
            maxLength={200}
            onChange={(event) => setName(event.target.value)}
          />
        </Form.Item>
        <Form.Item label="The numerals of the main scale stand for">
          <Segmented
            value={numerals}
            onChange={setNumerals}
            options={[
              { value: "mm", label: "millimetres: 10, 20, 30" },
              { value: "cm", label: "centimetres: 1, 2, 3" },
            ]}
          />
        </Form.Item>
        <Form.Item label="For the fine reading you type">
          <Segmented
            value={fineAs}
            onChange={setFineAs}
            options={[
              { value: "line", label: "the line’s number" },
              { value: "numeral", label: "the numeral at it" },
              { value: "worth", label: "its worth in mm" },
            ]}
          />
        </Form.Item>
        <div className="page-acts">
          <Button onClick={onBack}>Another one</Button>
          <Button
            type="primary"
            htmlType="submit"
            loading={add.isPending}
            disabled={name.trim() === ""}
          >
            This is mine
          </Button>
        </div>
      </div>
    </Form>
  );
}
