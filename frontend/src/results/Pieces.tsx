import { createElement, Fragment, type KeyboardEvent, type ReactNode } from "react";

import type { Span } from "../api";
import { say } from "../voice";

interface Props {
  line: Span[];
  /** Leads to the line that a number comes from; without it, numbers are plain. */
  onFollow?: ((source: string) => void) | undefined;
}

/*
 * Text is set as numbers are: `mtext` counts as space, so that a row of one sign and its two sides
 * would be taken for the sign itself, and lose the room about it.
 */
/** The elements of MathML in which each form is set. */
const ELEMENTS = { over: "mfrac", root: "msqrt", power: "msup", brackets: "mrow" } as const;
const LEAVES = { text: "mn", symbol: "mi", sign: "mo" } as const;

type Leaf = Span & { form: keyof typeof LEAVES };

const isFlat = (span: Span): span is Leaf => span.form in LEAVES;

/** A line of a working: text, and mathematics set as such. */
export function Pieces({ line, onFollow }: Props) {
  return kept(line).map((spans, place) => {
    const pieces = spans.map((span, at) => <Piece key={at} {...{ span, onFollow }} />);
    return (
      <Fragment key={place}>
        {spans[0]?.form === "sign" && " "}
        {spans.length > 1 ? <span className="kept">{pieces}</span> : pieces}
      </Fragment>
    );
  });
}

/** The pieces in groups that stay on one line. */
function kept(line: Span[]): Span[][] {
  const groups: Span[][] = [];
  line.forEach((span, place) => {
    if (line[place - 1]?.keeps) groups.at(-1)?.push(span);
    else groups.push([span]);
  });
  return groups;
}

function Piece({ span, onFollow }: PieceProps) {
  if (isFlat(span)) return <Text {...{ span, onFollow }} />;
  return (
    <span className="mathematics">
      {createElement(
        "math",
        // Within mathematics nothing could be pressed; a group of numbers may hold what can.
        { displaystyle: "true", ...(onFollow ? { role: "group" } : {}) },
        <Set {...{ span, onFollow }} />,
      )}
    </span>
  );
}

interface PieceProps {
  span: Span;
  onFollow?: ((source: string) => void) | undefined;
}

const classOf = ({ tint }: Span) => (tint === "plain" ? undefined : `part-${tint} mark-${tint}`);

function Text({ span, onFollow }: PieceProps) {
  if (span.form === "sign") return <>{span.text}&nbsp;</>;
  const text = span.form === "symbol" ? <i>{span.text}</i> : span.text;
  if (!span.source || !onFollow) return <span className={classOf(span)}>{text}</span>;
  return (
    // Not a button element: a line would break around it, and leave a bracket alone.
    <span
      className={["follow", classOf(span)].join(" ")}
      title={say("results-trace")}
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

const bracket = (which: string) => createElement("mo", null, which);

/** A piece inside mathematics. */
function Set({ span, onFollow }: PieceProps): ReactNode {
  if (isFlat(span)) {
    const follows = span.source !== "" && onFollow !== undefined;
    return createElement(
      LEAVES[span.form],
      {
        ...(span.form === "sign" ? { lspace: "4px", rspace: "4px" } : {}),
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
      // What stands in a fraction is no smaller than the fraction.
      span.form === "over" ? { displaystyle: "true" } : null,
      line.map((piece, place) => <Set key={place} span={piece} onFollow={onFollow} />),
    );
  const element = ELEMENTS[span.form as keyof typeof ELEMENTS];
  if (span.form === "brackets")
    return createElement(element, null, bracket("("), row(span.first), bracket(")"));
  const parts = span.form === "root" ? [span.first] : [span.first, span.second];
  return createElement(element, null, ...parts.map(row));
}
