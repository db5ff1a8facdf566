import { InputNumber, Segmented, Switch } from "antd";
import type { ReactNode } from "react";

import type { Description, FineAs } from "../api";
import { isMetric, type Draft } from "./draft";
import { ToolFacts } from "./ToolFacts";
import { say } from "../voice";

interface Props {
  draft: Draft;
  description: Description;
  onChange: (draft: Draft) => void;
}

/** How the drawing is made to look like the tool in hand. */
export function AppearanceChoices({ draft, description, onChange }: Props) {
  const set = (some: Draft) => onChange({ ...draft, ...some });
  const { appearance, traits } = description;
  const metric = isMetric(draft);
  return (
    <section className="card appearance" aria-label={say("instruments-appearance")}>
      <h2>{say("instruments-looks-like")}</h2>
      {metric && (
        <Choice words={say("instruments-numerals")}>
          <Two
            label={say("instruments-numerals")}
            value={appearance.numerals ?? (draft.unit === "cm" ? "cm" : "mm")}
            options={[
              ["mm", "mm"],
              ["cm", "cm"],
            ]}
            onChange={(numerals) => set({ numerals })}
          />
        </Choice>
      )}
      {traits.slides && (
        <Choice words={say("instruments-the-fine-scale-lies")}>
          <Two
            label={say("instruments-the-fine-scale-lies")}
            value={appearance.fine_side}
            options={[
              ["below", say("instruments-below")],
              ["above", say("instruments-above")],
            ]}
            onChange={(side) => set({ fine_side: side })}
          />
        </Choice>
      )}
      {traits.turns && (
        <>
          <Choice words={say("instruments-half-marks")}>
            <Two
              label={say("instruments-half-marks")}
              value={appearance.half_marks}
              options={[
                ["below", say("instruments-below")],
                ["above", say("instruments-above")],
              ]}
              onChange={(side) => set({ half_marks: side })}
            />
          </Choice>
          <Choice words={say("instruments-the-thimbles-numerals-grow")}>
            <Two
              label={say("instruments-the-thimbles-numerals-grow")}
              value={appearance.thimble_numerals}
              options={[
                ["up", say("instruments-upwards")],
                ["down", say("instruments-downwards")],
              ]}
              onChange={(growth) => set({ thimble_numerals: growth })}
            />
          </Choice>
        </>
      )}
      <Choice words={say("instruments-numeral-every")}>
        <InputNumber
          controls={false}
          aria-label={say("instruments-numeral-every-hint")}
          min={1}
          max={description.fine_divisions}
          precision={0}
          placeholder={say("instruments-usual")}
          value={appearance.numbered_every}
          onChange={(every) => set({ numbered_every: every })}
        />
      </Choice>
      {traits.slides && metric && (
        <Choice words={say("instruments-other-edge")}>
          <Switch
            aria-label={say("instruments-other-edge-hint")}
            checked={appearance.second_edge}
            onChange={(on) => set({ second_edge: on })}
          />
        </Choice>
      )}
      <Choice words={say("instruments-fine-entry-mine")}>
        <Segmented<FineAs>
          aria-label={say("instruments-fine-entry-mine")}
          value={appearance.fine_as ?? "line"}
          onChange={(fineAs) => set({ fine_as: fineAs })}
          options={[
            { value: "line", label: say("instruments-the-line") },
            { value: "numeral", label: say("instruments-the-numeral") },
            { value: "worth", label: say("instruments-its-worth") },
          ]}
        />
      </Choice>
      <ToolFacts draft={draft} onChange={set} />
    </section>
  );
}

function Choice({ words, children }: { words: string; children: ReactNode }) {
  return (
    <div className="appearance-choice">
      <span>{words}</span>
      {children}
    </div>
  );
}

interface TwoProps<Value extends string> {
  label: string;
  value: Value;
  options: [Value, string][];
  onChange: (value: Value) => void;
}

function Two<Value extends string>({ label, value, options, onChange }: TwoProps<Value>) {
  return (
    <Segmented<Value>
      aria-label={label}
      value={value}
      onChange={onChange}
      options={options.map(([option, label]) => ({ value: option, label }))}
    />
  );
}
