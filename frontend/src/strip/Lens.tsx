import type { Answer, Lines } from "../api";
import { lensPower, numeralOf } from "./geometry";
import { useWidth } from "./useWidth";
import { figure, say } from "../voice";

const HEIGHT = 92;
const EDGE = 46;
const LETTER_PX = 5;
const MARGIN_PX = 8;

interface Cell {
  line: number;
  mark: number;
  miss: number;
  words: string;
  /** Of lines that cannot be told apart each seems to meet, and misses. */
  kind: "meets" | "seems" | "misses";
}

/** The coincidence and its neighbours, large enough to see on which side each line misses. */
export function Lens({ lines, answer }: { lines: Lines; answer: Answer | null }) {
  const [ref, width] = useWidth();
  const cells = cellsOf(answer);
  const each = width / Math.max(cells.length, 1);
  const power = lensPower(lines, each);
  // Words that do not fit beside their line go under the lens.
  const longest = Math.max(...cells.map(({ words }) => words.length));
  const tight = longest * LETTER_PX > each / 2 - MARGIN_PX;
  return (
    <>
      <div className="lens" ref={ref} data-empty={cells.length === 0}>
        {cells.length === 0 ? (
          <p>{say("strip-the-lens-shows-the-line-that")}</p>
        ) : (
          <svg width={width} height={HEIGHT} role="img" aria-label={spoken(cells)}>
            <rect className="steel" width={width} height={EDGE - 1} />
            <rect className="brass" y={EDGE + 1} width={width} height={HEIGHT - EDGE} />
            {cells.map((cell, index) => (
              <LensCell
                key={cell.line}
                cell={cell}
                lines={lines}
                middle={each * (index + 0.5)}
                edge={index > 0 ? each * index : null}
                power={power}
                worded={!tight}
                numeral={
                  cell.kind === "meets" ? (answer?.fine.numeral ?? "") : printed(lines, cell)
                }
              />
            ))}
          </svg>
        )}
      </div>
      {tight && cells.length > 0 && <p className="lens-below">{misses(cells)}</p>}
    </>
  );
}

interface CellProps {
  cell: Cell;
  lines: Lines;
  middle: number;
  edge: number | null;
  power: number;
  worded: boolean;
  numeral: string;
}

function LensCell({ cell, lines, middle, edge, power, worded, numeral }: CellProps) {
  const x = middle + cell.miss * power;
  const meets = cell.kind === "meets";
  const label = numeral === String(cell.line) || !numeral ? "" : ` = ${numeral}`;
  return (
    <g className={`lens-cell ${cell.kind}`}>
      {edge !== null && <path className="lens-break" d={`M${edge} 0V${HEIGHT}`} />}
      {!meets && (
        <rect
          className="misfit"
          x={Math.min(x, middle)}
          y={EDGE - 7}
          width={Math.abs(x - middle)}
          height={14}
        />
      )}
      <text className="lens-mark" x={middle} y={16}>
        {figure(numeralOf(lines, Math.round(cell.mark / lines.division)))}
      </text>
      <line className="mark-line" x1={middle} x2={middle} y1={21} y2={EDGE} />
      <line className="fine-line" x1={x} x2={x} y1={EDGE} y2={66} />
      <text className="lens-line" x={x} y={82}>
        {say("strip-line", { line: cell.line, label: label })}
      </text>
      {!meets && worded && (
        <text
          className="lens-words"
          x={cell.miss > 0 ? middle - 6 : middle + 6}
          y={62}
          textAnchor={cell.miss > 0 ? "end" : "start"}
        >
          {cell.words}
        </text>
      )}
    </g>
  );
}

function cellsOf(answer: Answer | null): Cell[] {
  if (!answer || answer.neighbours.length === 0) return [];
  const { seen } = answer.fine;
  const beside = answer.neighbours.map((n): Cell => ({
    ...n,
    kind: seen.includes(n.line) ? "seems" : "misses",
  }));
  if (answer.meets === null) return beside;
  const own: Cell = { line: seen[0] ?? 0, mark: answer.meets, miss: 0, words: "", kind: "meets" };
  return [...beside, own].sort((a, b) => a.line - b.line);
}

const printed = (lines: Lines, cell: Cell) =>
  lines.fine_numerals.find(({ line }) => line === cell.line)?.text ?? "";

/** How the neighbours miss, short enough for one line of a phone. */
function misses(cells: Cell[]): string {
  const others = cells.filter(({ kind }) => kind !== "meets");
  return others.map(({ line, words }) => say("strip-line-2", { line, words })).join("; ");
}

function spoken(cells: Cell[]): string {
  const one = (cell: Cell) =>
    cell.kind === "meets"
      ? say("strip-meets", { line: cell.line })
      : say("strip-line-is", { line: cell.line, words: cell.words });
  return cells.map(one).join(", ");
}
