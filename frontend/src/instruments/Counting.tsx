import { Input, InputNumber, Select } from "antd";

import type { ApiError } from "../api";
import { STARTS, type Draft } from "./draft";
import { ReadBefore, UnitChoice, type WhatWasRead } from "./UnitChoice";
import { say } from "../voice";

interface Props {
  draft: Draft;
  problem: ApiError | null;
  onChange: (draft: Draft) => void;
  /** What becomes of what was read with it, where it may get another unit. */
  read?: WhatWasRead;
}

/** The description as one sentence with blanks, filled by looking and counting. */
export function Counting({ draft, problem, onChange, read }: Props) {
  const set = (some: Draft) => onChange({ ...draft, ...some });
  return (
    <ReadBefore.Provider value={read ?? null}>
      <section className="card counting" aria-label={say("instruments-description")}>
        <label className="counting-name">
          {say("instruments-own-name")}
          <Input
            value={draft.name ?? ""}
            maxLength={200}
            placeholder={say("instruments-caliper-a")}
            onChange={(event) => set({ name: event.target.value })}
          />
        </label>
        <ScalesSentence draft={draft} set={set} />
        {draft.kind && "range" in STARTS[draft.kind] && <RangeSentence draft={draft} set={set} />}
        <Faults problem={problem} />
      </section>
    </ReadBefore.Provider>
  );
}

interface SentenceProps {
  draft: Draft;
  set: (some: Draft) => void;
}

/** What is counted on the scales of a kind. */
function ScalesSentence(props: SentenceProps) {
  const { kind } = props.draft;
  switch (kind) {
    case "vernier":
    case "angular":
      return <SlidingSentence {...props} />;
    case "screw":
      return <ScrewSentence {...props} />;
    case "plain":
      return <PlainSentence {...props} />;
    case undefined:
      return null;
  }
}

function SlidingSentence({ draft, set }: SentenceProps) {
  const angular = draft.unit === "arcmin";
  return (
    <p className="counting-sentence">
      <Count
        label={say("instruments-fine-divisions")}
        value={draft.fine_divisions}
        onChange={(n) => set({ fine_divisions: n })}
      />
      {say("instruments-span")}
      <Count
        label={say("instruments-main-divisions")}
        value={draft.span}
        onChange={(n) => set({ span: n })}
      />
      {say("instruments-marks-of")}
      <Length
        label={say("instruments-main-division")}
        value={draft.main_division}
        onChange={(text) => set({ main_division: text })}
      />
      {angular ? say("instruments-arc-minutes") : <UnitChoice draft={draft} set={set} />}
      {say("instruments-numbered")}
      <Select
        aria-label={say("instruments-numbered-2")}
        value={draft.numbering ?? "with"}
        onChange={(numbering: "with" | "against") => set({ numbering })}
        options={[
          { value: "with", label: say("instruments-with-the-main-scale") },
          { value: "against", label: say("instruments-against-the-main-scale") },
        ]}
      />
    </p>
  );
}

function ScrewSentence({ draft, set }: SentenceProps) {
  return (
    <p className="counting-sentence">
      {say("instruments-one-turn-of-the-thimble-travels")}
      <Length
        label={say("instruments-pitch-2")}
        value={draft.pitch}
        onChange={(pitch) => set({ pitch })}
      />
      <UnitChoice draft={draft} set={set} />, {say("instruments-the-sleeve")}{" "}
      {say("instruments-main-every")}
      <Length
        label={say("instruments-main-division")}
        value={draft.main_division}
        onChange={(text) => set({ main_division: text })}
      />
      {draft.unit}, {say("instruments-the-thimble")} {say("instruments-has")}
      <Count
        label={say("instruments-fine-divisions")}
        value={draft.fine_divisions}
        onChange={(n) => set({ fine_divisions: n })}
      />
      {say("instruments-divisions")}
    </p>
  );
}

function PlainSentence({ draft, set }: SentenceProps) {
  return (
    <p className="counting-sentence">
      <Select
        aria-label={say("instruments-it-shows")}
        value={draft.display === true}
        onChange={(display: boolean) => set({ display: display || null })}
        options={[
          { value: false, label: say("instruments-marks-of-which-two-are-apart") },
          { value: true, label: say("instruments-digits-of-which-the-last-is-worth") },
        ]}
      />
      <Length
        label={say("instruments-main-division")}
        value={draft.main_division}
        onChange={(text) => set({ main_division: text })}
      />
      <UnitChoice draft={draft} set={set} />.
    </p>
  );
}

function RangeSentence({ draft, set }: SentenceProps) {
  const [low = "", high = ""] = draft.range ?? [];
  return (
    <p className="counting-sentence">
      {say("instruments-range")}
      <Length
        label={say("instruments-lowest-reading")}
        value={low}
        onChange={(text) => set({ range: [text, high] })}
      />
      {say("instruments-to")}
      <Length
        label={say("instruments-highest-reading")}
        value={high}
        onChange={(text) => set({ range: [low, text] })}
      />
      {draft.unit}.
    </p>
  );
}

interface BlankProps<Value> {
  label: string;
  value: Value | undefined;
  onChange: (value: Value) => void;
}

function Count({ label, value, onChange }: BlankProps<number>) {
  return (
    <InputNumber
      controls={false}
      aria-label={label}
      className="counting-blank"
      min={1}
      max={1000}
      precision={0}
      value={value ?? null}
      onChange={(count) => count !== null && onChange(count)}
    />
  );
}

function Length({ label, value, onChange }: BlankProps<string>) {
  return (
    <Input
      aria-label={label}
      className="counting-blank"
      inputMode="decimal"
      value={value ?? ""}
      onChange={(event) => onChange(event.target.value)}
    />
  );
}

function Faults({ problem }: { problem: ApiError | null }) {
  if (!problem) return null;
  const texts =
    problem.faults.length > 0 ? problem.faults.map((f) => f.message) : [problem.message];
  return (
    <ul className="counting-faults" role="alert">
      {texts.map((text) => (
        <li key={text}>{say("instruments-preview-stale", { text: text })}</li>
      ))}
    </ul>
  );
}
