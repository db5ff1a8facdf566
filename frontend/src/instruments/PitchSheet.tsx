import { Button, Input, InputNumber } from "antd";
import { useState } from "react";

import { usePitch } from "../api";
import type { Draft } from "./draft";
import { figure, say } from "../voice";

interface Props {
  draft: Draft;
  onChange: (draft: Draft) => void;
}

interface Trial {
  turns: number;
  before: string;
  after: string;
}

const FIRST: Trial[] = [
  { turns: 10, before: "", after: "" },
  { turns: 10, before: "", after: "" },
];

/** Whole turns counted, the sleeve noted before and after: the pitch, and the least count from it. */
export function PitchSheet({ draft, onChange }: Props) {
  const [trials, setTrials] = useState(FIRST);
  const pitch = usePitch();
  const filled = trials.filter(({ before, after }) => before.trim() !== "" && after.trim() !== "");
  const unit = (draft.unit as "mm" | "cm" | "in" | undefined) ?? "mm";
  const set = (index: number, some: Partial<Trial>) =>
    setTrials(trials.map((trial, i) => (i === index ? { ...trial, ...some } : trial)));
  const found = pitch.data;
  return (
    <section className="card pitch" aria-label={say("instruments-pitch-worksheet")}>
      <h2>{say("instruments-pitch-worksheet-2")}</h2>
      <p className="quiet">{say("instruments-note-the-sleeve-with-the-thimble")}</p>
      <table>
        <thead>
          <tr>
            <th>{say("instruments-turns")}</th>
            <th>{say("instruments-sleeve-before")}</th>
            <th>{say("instruments-sleeve-after")}</th>
            <th>{say("instruments-pitch-2")}</th>
          </tr>
        </thead>
        <tbody>
          {trials.map((trial, index) => (
            <tr key={index}>
              <td>
                <InputNumber
                  controls={false}
                  aria-label={say("instruments-trial-turns", { at: index + 1 })}
                  min={1}
                  max={1000}
                  precision={0}
                  value={trial.turns}
                  onChange={(turns) => turns !== null && set(index, { turns })}
                />
              </td>
              {(["before", "after"] as const).map((when) => (
                <td key={when}>
                  <Input
                    aria-label={say("instruments-trial", { when, at: index + 1 })}
                    inputMode="decimal"
                    value={trial[when]}
                    onChange={(event) => set(index, { [when]: event.target.value })}
                  />
                </td>
              ))}
              <td className="figure">{found?.pitches[filled.indexOf(trial)] ?? ""}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="pitch-acts">
        <Button onClick={() => setTrials([...trials, { turns: 10, before: "", after: "" }])}>
          {say("instruments-trial-add")}
        </Button>
        <Button
          type="primary"
          disabled={filled.length === 0}
          loading={pitch.isPending}
          onClick={() =>
            pitch.mutate({ unit, fine_divisions: draft.fine_divisions ?? 1, trials: filled })
          }
        >
          {say("derived-submit")}
        </Button>
        {found && (
          <span data-testid="pitch">
            {say(found.usual ? "instruments-pitch-found-usual" : "instruments-pitch-found", {
              mean: found.mean,
              spread: found.spread,
              usual: `${figure(found.usual ?? "")} ${unit}`,
              least: `${found.least_count} ${unit}`,
              unit,
            })}
          </span>
        )}
        {found?.usual && found.usual !== draft.pitch && (
          <Button onClick={() => onChange({ ...draft, pitch: found.usual ?? "" })}>
            {say("instruments-use-it")}
          </Button>
        )}
      </div>
      {pitch.error && (
        <p role="alert" className="note warning">
          {pitch.error.message}
        </p>
      )}
      {found?.warnings.map((warning) => (
        <p key={warning} className="note warning">
          {warning}
        </p>
      ))}
    </section>
  );
}
