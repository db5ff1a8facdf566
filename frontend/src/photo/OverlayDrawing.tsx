import type { Laid } from "./queries";
import { fineLines, mainLines, pitchOf, type Drawn } from "./overlay";

interface Props {
  laid: Laid;
  /** The fine line that meets in the drawing, and parts of one. */
  shown: number;
}

/** How long lines are drawn, in fine lines. */
const LENGTHS = { main: 1.6, short: 1.6, long: 2.4, numeral: 3.1 };

/** The drawing of the same scales, as they lie in the picture. */
export function OverlayDrawing({ laid, shown }: Props) {
  const pitch = Math.min(pitchOf(laid), 60);
  const width = Math.max(pitch / 22, 1);
  return (
    <g className="laid" strokeWidth={width} fontSize={pitch * 0.95}>
      <g className="laid-main">
        {mainLines(laid).map((line) => (
          <Line key={line.at} line={line} length={pitch * (laid.whole ? 12 : LENGTHS.main)} />
        ))}
      </g>
      <g className="laid-fine">
        {fineLines(laid, shown).map((line, index) => (
          <g key={index}>
            <Line line={line} length={pitch * (line.long ? LENGTHS.long : LENGTHS.short)} />
            {line.long && <Numeral line={line} far={pitch * LENGTHS.numeral} />}
          </g>
        ))}
      </g>
    </g>
  );
}

function Line({ line: { from, out }, length }: { line: Drawn; length: number }) {
  return <line x1={from.x} y1={from.y} x2={from.x + out.x * length} y2={from.y + out.y * length} />;
}

function Numeral({ line: { at, from, out }, far }: { line: Drawn; far: number }) {
  return (
    <text x={from.x + out.x * far} y={from.y + out.y * far}>
      {at}
    </text>
  );
}
