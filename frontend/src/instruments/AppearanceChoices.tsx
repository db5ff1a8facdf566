import { InputNumber, Segmented, Switch } from "antd";
import type { ReactNode } from "react";

import type { Description, FineAs } from "../api";
import { useShow } from "../app/settings";
import type { Draft } from "./draft";
import { ToolFacts } from "./ToolFacts";

interface Props {
  draft: Draft;
  description: Description;
  onChange: (draft: Draft) => void;
}

/** How the drawing is made to look like the tool in hand. */
export function AppearanceChoices({ draft, description, onChange }: Props) {
  const show = useShow();
  const set = (some: Draft) => onChange({ ...draft, ...some });
  const { appearance, kind } = description;
  const metric = draft.unit === "mm" || draft.unit === "cm";
  return (
    <section className="card appearance" aria-label="appearance">
      <h2>As yours looks</h2>
      {metric && (
        <Choice words="The numerals stand for">
          <Two
            value={appearance.numerals}
            options={[
              ["mm", "mm"],
              ["cm", "cm"],
            ]}
            onChange={(numerals) => set({ numerals })}
          />
        </Choice>
      )}
      {kind === "vernier" && (
        <Choice words={show("The fine scale lies")}>
          <Two
            value={appearance.fine_side}
            options={[
              ["below", "below"],
              ["above", "above"],
            ]}
            onChange={(side) => set({ fine_side: side })}
          />
        </Choice>
      )}
      {kind === "screw" && (
        <>
          <Choice words="The half marks lie">
            <Two
              value={appearance.half_marks}
              options={[
                ["below", "below"],
                ["above", "above"],
              ]}
              onChange={(side) => set({ half_marks: side })}
            />
          </Choice>
          <Choice words={show("The thimble’s numerals grow")}>
            <Two
              value={appearance.thimble_numerals}
              options={[
                ["up", "upwards"],
                ["down", "downwards"],
              ]}
              onChange={(growth) => set({ thimble_numerals: growth })}
            />
          </Choice>
        </>
      )}
      <Choice words="A numeral at every so many fine lines">
        <InputNumber
          aria-label="a numeral at every so many fine lines"
          min={1}
          max={description.fine_divisions}
          precision={0}
          placeholder="usual"
          value={appearance.numbered_every}
          onChange={(every) => set({ numbered_every: every })}
        />
      </Choice>
      {kind === "vernier" && metric && (
        <Choice words="The other edge shows inches">
          <Switch
            aria-label="the other edge shows inches"
            checked={appearance.second_edge}
            onChange={(on) => set({ second_edge: on })}
          />
        </Choice>
      )}
      <Choice words="For the fine reading I type">
        <Segmented<FineAs>
          value={appearance.fine_as}
          onChange={(fineAs) => set({ fine_as: fineAs })}
          options={[
            { value: "line", label: "the line" },
            { value: "numeral", label: "the numeral" },
            { value: "worth", label: "its worth" },
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
  value: Value;
  options: [Value, string][];
  onChange: (value: Value) => void;
}

function Two<Value extends string>({ value, options, onChange }: TwoProps<Value>) {
  return (
    <Segmented<Value>
      value={value}
      onChange={onChange}
      options={options.map(([option, label]) => ({ value: option, label }))}
    />
  );
}
