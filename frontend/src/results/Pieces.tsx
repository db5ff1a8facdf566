import { createElement, type KeyboardEvent, type ReactNode } from "react";

import type { Span } from "../api";
import { say } from "../voice";

interface Props {
  line: Span[];
  /** Leads to the line that a number comes from; without it, numbers are plain. */
  onFollow?: ((source: string) => void) | undefined;
}

/** The elements of MathML in which each form is set. */
const ELEMENTS = { over: "mfrac", root: "msqrt", power: "msup" } as const;

/** A line of a working: text, and mathematics set as such. */
export function Pieces({ line, onFollow }: Props) {
  return line.map((span, place) =>
    span.form === "text" ? (
      <Text key={place} {...{ span, onFollow }} />
    ) : (
      <span key={place} className="mathematics">
        {createElement(
          "math",
          // Within mathematics nothing could be pressed; a group of numbers may hold what can.
          { displaystyle: "true", ...(onFollow ? { role: "group" } : {}) },
          <Set {...{ span, onFollow }} />,
        )}
      </span>
    ),
  );
}

interface PieceProps {
  span: Span;
  onFollow?: ((source: string) => void) | undefined;
}

const classOf = ({ tint }: Span) => (tint === "plain" ? undefined : `part-${tint} mark-${tint}`);

function Text({ span, onFollow }: PieceProps) {
  const text = span.text;
  if (!span.source || !onFollow) return <span className={classOf(span)}>{text}</span>;
  return (
    // Not a button element: a line would break around it, and leave a bracket alone.
    <span
      className={["follow", classOf(span)].join(" ")}
      title={say("results-where-this-comes-from")}
      {...leading(() => onFollow(span.source))}
    >
      {text}
    </span>
  );
}

/** What makes a piece lead somewhere, by hand and by key. */
const leading = (follow: () => void) => ({
  role: "button",
  tabIndex: 0,
  onClick: follow,
  onKeyDown: (event: KeyboardEvent) => {
    if (event.key !== "Enter" && event.key !== " ") return;
    event.preventDefault();
    follow();
  },
});

/** A piece inside mathematics. */
function Set({ span, onFollow }: PieceProps): ReactNode {
  if (span.form === "text") {
    const follows = span.source !== "" && onFollow !== undefined;
    return createElement(
      "mtext",
      {
        className: [follows ? "follow" : "", classOf(span) ?? ""].join(" ").trim(),
        ...(follows ? leading(() => onFollow(span.source)) : {}),
      },
      // Blanks at the ends of a text would be dropped.
      span.text.replaceAll(" ", "\u00a0"),
    );
  }
  const row = (line: Span[]) =>
    createElement(
      "mrow",
      null,
      line.map((piece, place) => <Set key={place} span={piece} onFollow={onFollow} />),
    );
  const parts = span.form === "root" ? [span.first] : [span.first, span.second];
  return createElement(ELEMENTS[span.form], null, ...parts.map(row));
}
