import { Button, Input, Modal, Select } from "antd";
import { useState } from "react";

import type { Compared, Quantity, Schemas } from "../api";
import { useShow } from "../app/settings";

export type Comparand = Schemas["ComparandFields"];

interface Props {
  compared: Compared | null;
  unit: string;
  /** Quantities of the sheet that it can stand beside. */
  others: Quantity[];
  /** Keeps what to compare with, or nothing. */
  onCompare: (comparand: Comparand | null) => void;
}

/** A result beside an expected value or another quantity, in words. */
export function ComparedWords({ compared }: { compared: Compared | null }) {
  const show = useShow();
  if (!compared) return null;
  return (
    <section className="compared" aria-label="compared with">
      {compared.with && <h3>Beside {show(compared.with)}</h3>}
      {compared.sentences.map((sentence) => (
        <p key={sentence}>{show(sentence)}</p>
      ))}
    </section>
  );
}

/** Chooses what a result is to stand beside. */
export function Compare({ compared, unit, others, onCompare }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button type="link" onClick={() => setOpen(true)}>
        {compared ? "Compare with something else" : "Compare with…"}
      </Button>
      {open && (
        <Modal open title="Compare with" footer={null} width={480} onCancel={() => setOpen(false)}>
          <CompareForm
            {...{ compared, unit, others }}
            onCompare={(comparand) => {
              onCompare(comparand);
              setOpen(false);
            }}
          />
        </Modal>
      )}
    </>
  );
}

const EXPECTED = "";

function CompareForm({ compared, unit, others, onCompare }: Props) {
  const show = useShow();
  const [other, setOther] = useState(compared?.quantity ?? EXPECTED);
  const [value, setValue] = useState(compared?.value ?? "");
  const [uncertainty, setUncertainty] = useState(compared?.uncertainty || "0");
  const [typedUnit, setTypedUnit] = useState(compared?.unit || (unit === "arcmin" ? "deg" : unit));
  const typed = other === EXPECTED;
  return (
    <form
      className="compare-form"
      onSubmit={(event) => {
        event.preventDefault();
        onCompare(typed ? { value, uncertainty, unit: typedUnit } : { quantity: other });
      }}
    >
      <Select
        aria-label="Compare with"
        value={other}
        onChange={setOther}
        options={[
          { value: EXPECTED, label: "an expected value" },
          ...others.map(({ id, name, result }) => ({
            value: id,
            label: show(`${name}: ${result.sentence ?? "no reading yet"}`),
          })),
        ]}
      />
      {typed && (
        <div className="compare-typed">
          <Input
            aria-label="expected value"
            autoFocus
            value={value}
            onChange={(event) => setValue(event.target.value)}
          />
          ±
          <Input
            aria-label="its uncertainty"
            value={uncertainty}
            onChange={(event) => setUncertainty(event.target.value)}
          />
          <Input
            aria-label="its unit"
            value={typedUnit}
            onChange={(event) => setTypedUnit(event.target.value)}
          />
        </div>
      )}
      <div className="page-acts">
        {compared && <Button onClick={() => onCompare(null)}>Compare no more</Button>}
        <Button type="primary" htmlType="submit" disabled={typed && value.trim() === ""}>
          Compare
        </Button>
      </div>
    </form>
  );
}
