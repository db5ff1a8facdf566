import { Button, Input, Select } from "antd";
import { useState } from "react";

import type { Compared, Schemas } from "../api";
import { Bands } from "../charts";
import { Dialog } from "../common/overlays";
import { say } from "../voice";

export type Comparand = Schemas["BesideFields"];

/** Another result of the sheet, and under which name it is kept. */
export interface Comparable {
  kind: "quantity" | "derived";
  id: string;
  name: string;
}

interface Props {
  /** What else of the sheet it can stand beside. */
  others: Comparable[];
  compared: Compared | null;
  unit: string;
  /** Keeps what to compare with, or nothing. */
  onCompare: (comparand: Comparand | null) => void;
}

/** A result beside an expected value or another quantity, in words. */
export function ComparedWords({ compared }: { compared: Compared | null }) {
  if (!compared) return null;
  return (
    <section className="compared" aria-label={say("results-compared-with")}>
      {compared.with && <h3>{say("results-beside", { with: compared.with })}</h3>}
      <Bands of={compared.bands} />
      {compared.sentences.map((sentence) => (
        <p key={sentence}>{sentence}</p>
      ))}
    </section>
  );
}

/** Chooses what a result is to stand beside. */
export function Compare({ others, compared, unit, onCompare }: Props) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Button type="link" onClick={() => setOpen(true)}>
        {compared ? say("results-compare-label") : say("results-compare-with")}
      </Button>
      {open && (
        <Dialog
          open
          title={say("results-compare-with-2")}
          footer={null}
          width={480}
          onCancel={() => setOpen(false)}
        >
          <CompareForm
            {...{ others, compared, unit }}
            onCompare={(comparand) => {
              onCompare(comparand);
              setOpen(false);
            }}
          />
        </Dialog>
      )}
    </>
  );
}

const EXPECTED = "";

const keyOf = (one?: Comparable) => (one ? `${one.kind} ${one.id}` : EXPECTED);
const isChosen = (compared: Compared | null) => (one: Comparable) =>
  compared?.[one.kind] === one.id;

function CompareForm({ others, compared, unit, onCompare }: Props) {
  const [other, setOther] = useState(() => keyOf(others.find(isChosen(compared))));
  const [value, setValue] = useState(compared?.value ?? "");
  const [uncertainty, setUncertainty] = useState(compared?.uncertainty || "0");
  const [typedUnit, setTypedUnit] = useState(compared?.unit || (unit === "arcmin" ? "deg" : unit));
  const typed = other === EXPECTED;
  return (
    <form
      className="compare-form"
      onSubmit={(event) => {
        event.preventDefault();
        const found = others.find((one) => keyOf(one) === other);
        onCompare(found ? { [found.kind]: found.id } : { value, uncertainty, unit: typedUnit });
      }}
    >
      <Select
        aria-label={say("results-compare-with-2")}
        value={other}
        onChange={setOther}
        options={[
          { value: EXPECTED, label: say("results-compare-expected") },
          ...others.map((one) => ({ value: keyOf(one), label: one.name })),
        ]}
      />
      {typed && (
        <div className="compare-typed">
          <Input
            aria-label={say("results-expected-value")}
            autoFocus
            value={value}
            onChange={(event) => setValue(event.target.value)}
          />
          ±
          <Input
            aria-label={say("results-its-uncertainty")}
            value={uncertainty}
            onChange={(event) => setUncertainty(event.target.value)}
          />
          <Input
            aria-label={say("results-its-unit")}
            value={typedUnit}
            onChange={(event) => setTypedUnit(event.target.value)}
          />
        </div>
      )}
      <div className="page-acts">
        {compared && (
          <Button onClick={() => onCompare(null)}>{say("results-compare-no-more")}</Button>
        )}
        <Button type="primary" htmlType="submit" disabled={typed && value.trim() === ""}>
          {say("results-compare")}
        </Button>
      </div>
    </form>
  );
}
