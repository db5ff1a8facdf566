import type { Answer, Instrument } from "../api";
import { Hatch } from "./Jaws";
import { DATUM, screwPlaces } from "./screwGeometry";

interface Props {
  instrument: Instrument;
  position: number;
  zeroError: number;
  answer: Answer | null;
  width: number;
  /** How thick it is what lies between the faces; without it, the gap is filled. */
  item?: number | undefined;
}

const HALF = 46;
const DRUM = 206;

/** Frame, spindle, sleeve and thimble; the frame is foreshortened, the scales are not. */
export function Screw({ instrument, position, zeroError, answer, width, item }: Props) {
  const places = screwPlaces(instrument, position, width);
  const { framed, sleeveFrom, edge } = places;
  const seen = answer?.fine.seen ?? [];
  const passed = answer?.main.value == null ? null : lastMark(places.marks);
  return (
    <g className="screw">
      {framed && (
        <Frame gap={position - zeroError} item={item} pitch={instrument.lines.pitch ?? 1} />
      )}
      <rect
        className="steel"
        x={sleeveFrom}
        y={DATUM - HALF}
        width={edge + 20 - sleeveFrom}
        height={2 * HALF}
      />
      <line className="datum" x1={sleeveFrom} x2={edge} y1={DATUM} y2={DATUM} />
      {places.marks.map(({ x, index, above, numeral }) => (
        <g key={index} className={index === passed ? "sleeve-mark passed" : "sleeve-mark"}>
          <line x1={x} x2={x} y1={DATUM} y2={above ? DATUM - 21 : DATUM + 19} />
          {numeral !== null && (
            <text x={x} y={above ? DATUM - 27 : DATUM + 36}>
              {numeral}
            </text>
          )}
        </g>
      ))}
      <path className="brass" d={`M${edge} ${DATUM - 66}l46 -14h${DRUM}v160h-${DRUM}l-46 -14Z`} />
      {places.thimble.map((drawn) => (
        <g
          key={drawn.line}
          className={seen.includes(drawn.line) ? "thimble-line meeting" : "thimble-line"}
        >
          <line
            x1={edge}
            x2={edge + (drawn.long ? 34 : 20)}
            y1={drawn.y}
            y2={drawn.y}
            style={{ strokeWidth: 0.6 + drawn.share }}
          />
          {drawn.numeral !== null && (
            <text x={edge + 50} y={drawn.y + 5 * drawn.share} fontSize={15 * drawn.share}>
              {drawn.numeral}
            </text>
          )}
        </g>
      ))}
      {seen.length > 0 && <circle className="meeting-ring" cx={edge} cy={DATUM} r={7} />}
      {framed && (
        <rect className="jaw-fixed" x={edge + 252} y={DATUM - 28} width={52} height={56} rx={3} />
      )}
    </g>
  );
}

const lastMark = (marks: { index: number }[]) => marks.at(-1)?.index ?? null;

interface FrameProps {
  gap: number;
  item: number | undefined;
  pitch: number;
}

/** The frame with anvil and spindle, and the object between them: the gap grows with the length. */
function Frame({ gap, item = gap, pitch }: FrameProps) {
  const anvil = 152;
  const at = (length: number) => anvil + Math.max(0, Math.min((length / pitch) * 6, 150));
  const tip = at(gap);
  const end = at(item);
  return (
    <g>
      <path
        className="jaw-fixed"
        d="M110 66H70Q38 74 38 118Q44 226 160 232H340Q364 232 364 210V66H318V168H332V190Q332 202 318 202H160Q116 200 110 158Z"
      />
      <rect className="steel" x={94} y={DATUM - 18} width={anvil - 94} height={36} />
      <rect className="steel" x={tip} y={DATUM - 18} width={Math.max(320 - tip, 0)} height={36} />
      {end - anvil > 2 && (
        <rect
          className="object"
          fill="url(#hatch)"
          x={anvil}
          y={DATUM - 34}
          width={end - anvil}
          height={68}
        />
      )}
      <Hatch />
    </g>
  );
}
