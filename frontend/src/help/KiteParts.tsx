import "./kite.css";
import { say } from "../voice";

/** Where a part of the left half lies, and where its name stands. */
const PARTS = [
  { name: "help-kite-nock", at: [64, 206], label: [8, 262], anchor: "start" },
  { name: "help-kite-spreader", at: [168, 150], label: [8, 100], anchor: "start" },
  { name: "help-kite-film", at: [236, 96], label: [8, 40], anchor: "start" },
  { name: "help-kite-ferrule", at: [292, 150], label: [572, 40], anchor: "end" },
  { name: "help-kite-standoff", at: [376, 176], label: [572, 100], anchor: "end" },
  { name: "help-kite-bridle", at: [352, 222], label: [572, 262], anchor: "end" },
] as const;

/** A two-line kite with the parts that the examples measure, each with what is measured of it. */
export function KiteParts() {
  return (
    <figure className="kite">
      <svg viewBox="0 0 580 310" role="img" aria-label={say("help-kite")}>
        <path className="kite-film" d="M290 24L60 210Q180 176 290 196Q400 176 520 210Z" />
        <path className="kite-rod" d="M60 210L290 24L520 210M290 24V196M126 156L290 150L454 156" />
        <path className="kite-rod" d="M204 153L200 182M376 153L380 182" />
        <path
          className="kite-line"
          d="M160 130L226 236M204 153L226 236M290 150L226 236L206 300M420 130L354 236M376 153L354 236M290 150L354 236L374 300"
        />
        <rect className="kite-part" x={272} y={145} width={36} height={10} rx={3} />
        <circle className="kite-part" cx={60} cy={210} r={6} />
        <circle className="kite-part" cx={520} cy={210} r={6} />
        {PARTS.map(({ name, at: [x, y], label: [left, top], anchor }) => (
          <g key={name}>
            <path
              className="kite-lead"
              d={`M${x} ${y}L${anchor === "start" ? left + 60 : left - 60} ${top + (top < y ? 22 : -16)}`}
            />
            <text x={left} y={top} textAnchor={anchor}>
              {say(name)}
            </text>
            <text className="kite-what" x={left} y={top + 17} textAnchor={anchor}>
              {say(`${name}-measured`)}
            </text>
          </g>
        ))}
      </svg>
      <figcaption className="quiet">{say("help-kite")}</figcaption>
    </figure>
  );
}
