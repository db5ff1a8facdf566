import { Button, Input, InputNumber } from "antd";
import { useState } from "react";

import { usePitch } from "../api";
import { useShow } from "../app/settings";
import type { Draft } from "./draft";

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
  const show = useShow();
  const [trials, setTrials] = useState(FIRST);
  const pitch = usePitch();
  const filled = trials.filter(({ before, after }) => before.trim() !== "" && after.trim() !== "");
  const unit = (draft.unit as "mm" | "cm" | "in" | undefined) ?? "mm";
  const set = (index: number, some: Partial<Trial>) =>
    setTrials(trials.map((trial, i) => (i === index ? { ...trial, ...some } : trial)));
  const found = pitch.data;
  return (
    <section className="card pitch" aria-label="pitch worksheet">
      <h2>{show("Pitch worksheet")}</h2>
      <p className="quiet">
        {show(
          "Note the sleeve with the thimble at 0, turn several whole turns, note it again. More turns, better pitch.",
        )}
      </p>
      <table>
        <thead>
          <tr>
            <th>turns</th>
            <th>{show("sleeve before")}</th>
            <th>{show("sleeve after")}</th>
            <th>{show("pitch")}</th>
          </tr>
        </thead>
        <tbody>
          {trials.map((trial, index) => (
            <tr key={index}>
              <td>
                <InputNumber
                  aria-label={`turns of trial ${index + 1}`}
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
                    aria-label={`${when}, trial ${index + 1}`}
                    inputMode="decimal"
                    value={trial[when]}
                    onChange={(event) => set(index, { [when]: event.target.value })}
                  />
                </td>
              ))}
              <td className="figure">{show(found?.pitches[filled.indexOf(trial)] ?? "")}</td>
            </tr>
          ))}
        </tbody>
      </table>
      <div className="pitch-acts">
        <Button onClick={() => setTrials([...trials, { turns: 10, before: "", after: "" }])}>
          One more trial
        </Button>
        <Button
          type="primary"
          disabled={filled.length === 0}
          loading={pitch.isPending}
          onClick={() =>
            pitch.mutate({ unit, fine_divisions: draft.fine_divisions ?? 1, trials: filled })
          }
        >
          Work it out
        </Button>
        {found && (
          <span data-testid="pitch">
            {show(
              `pitch ${found.mean} ± ${found.spread} ${unit}` +
                (found.usual ? `, so it must be ${found.usual} ${unit}` : "") +
                `; least count ${found.least_count} ${unit}`,
            )}
          </span>
        )}
        {found?.usual && found.usual !== draft.pitch && (
          <Button onClick={() => onChange({ ...draft, pitch: found.usual ?? "" })}>Use it</Button>
        )}
      </div>
      {pitch.error && (
        <p role="alert" className="note warning">
          {show(pitch.error.message)}
        </p>
      )}
      {found?.warnings.map((warning) => (
        <p key={warning} className="note warning">
          {show(warning)}
        </p>
      ))}
    </section>
  );
}
