import { useState } from "react";

import { useWords } from "../api";
import { PARTS_DRAWN } from "./partsDrawn";
import type { Kind } from "./draft";
import { say } from "../voice";

/** A labelled drawing; pointing at a part tells what it is for and how to handle it. */
export function PartsDrawing({ kind }: { kind: Kind }) {
  const { data: words } = useWords();
  const [picked, setPicked] = useState<string | null>(null);
  const known = words?.kinds.find((one) => one.kind === kind);
  const drawn = PARTS_DRAWN[kind];
  const part = known?.parts.find(({ id }) => id === picked) ?? known?.parts[0];
  return (
    <section className="card parts" aria-label={say("instruments-parts")}>
      <h2>{say("instruments-its-parts")}</h2>
      <svg
        viewBox="0 0 760 250"
        className="parts-drawing"
        role="group"
        aria-label={say("instruments-labelled-drawing")}
      >
        {drawn.map(({ id, path, tone }, index) => (
          <path
            key={`${id} ${index}`}
            d={path}
            className={`part-shape ${tone}`}
            data-picked={id === part?.id}
          />
        ))}
        {known?.parts.map(({ id, name }) => {
          const label = drawn.find((one) => one.id === id)?.label;
          if (!label) return null;
          return (
            <g
              key={id}
              className="part-label"
              tabIndex={0}
              role="button"
              aria-pressed={id === part?.id}
              onMouseEnter={() => setPicked(id)}
              onFocus={() => setPicked(id)}
              onClick={() => setPicked(id)}
            >
              <line
                x1={label.x}
                y1={label.y + (label.y < label.toY ? 4 : -14)}
                x2={label.toX}
                y2={label.toY}
              />
              <text x={label.x} y={label.y}>
                {name}
              </text>
            </g>
          );
        })}
      </svg>
      {part && (
        <p className="parts-words" role="status">
          <b>{part.name}.</b> {part.purpose} {part.handling}
        </p>
      )}
      {known && known.faces.length > 0 && (
        <p className="quiet">
          {say("instruments-faces-hint")}{" "}
          {known.faces
            .map(({ name, measures }) => say("instruments-for", { name: name, measures }))
            .join("; ")}
          .
        </p>
      )}
    </section>
  );
}
